<script setup lang="ts">
import { ref } from "vue";
import { takeTable, useDoing, type Check } from "@/api";
import { useClasses } from "@/school";

/** Answers from a spreadsheet, and back to one. */
const props = defineProps<{ check: Check }>();
const emit = defineEmits<{ taken: [check: Check] }>();

/** A substitute takes no answers away. */
const classes = useClasses();
const table = ref("");
const { busy, trouble, doing } = useDoing();
const told = ref("");

const take = (): Promise<boolean> =>
  doing(async () => {
    told.value = "";
    const check = await takeTable(props.check.id, table.value);
    table.value = "";
    told.value = "Answers added.";
    emit("taken", check);
  });
</script>

<template>
  <details class="mt-3">
    <summary>From a spreadsheet, or to other programs</summary>
    <label for="table">Paste rows here: the child's name, then the answers in clock order.</label>
    <BFormTextarea
      id="table"
      v-model="table"
      rows="4"
      :state="trouble ? false : null"
      aria-describedby="table-wrong"
    />
    <p v-if="trouble" id="table-wrong" class="field-error" role="alert">{{ trouble }}</p>
    <p v-if="told" class="quiet" role="status">{{ told }}</p>
    <div class="d-flex gap-2 mt-2">
      <BButton variant="primary" :disabled="busy || !table.trim()" @click="take">Add answers</BButton>
      <BButton
        v-if="classes.current?.right !== 'teaching'"
        variant="outline-primary"
        :href="`/api/checks/${check.id}/answers.csv`"
        download
      >
        Save as CSV
      </BButton>
      <BButton variant="outline-primary" :href="`/api/checks/${check.id}/qti.zip`" download>
        Clocks as QTI
      </BButton>
    </div>
  </details>
</template>
