<script setup lang="ts">
import { ref, useTemplateRef } from "vue";
import { listImports, removeImport, importAnswers, useApiQuery, useApiMutation, type Check } from "@/api";
import { SureButton } from "@/ui";
import { useClasses } from "@/school";
import { clock, counted, moment } from "@/words";
import AnswersFile from "./AnswersFile.vue";

/** Answers from a spreadsheet or another program, and back to one. */
const props = defineProps<{ check: Check }>();
const emit = defineEmits<{ taken: [check: Check] }>();

/** A substitute takes no answers away. */
const classes = useClasses();
const table = ref("");
const file = useTemplateRef("file");
const { busy, errorMessage, run } = useApiMutation();
const message = ref("");
const { data: imports } = useApiQuery(listImports, () => [props.check.id], {
  select: (found) => found.imports,
});

const change = (does: () => Promise<Check>, words: string): Promise<boolean> =>
  run(async () => {
    message.value = "";
    const check = await does();
    message.value = words;
    emit("taken", check);
  });

const take = (): Promise<boolean> =>
  change(async () => {
    const check = await importAnswers(props.check.id, { table: table.value });
    table.value = "";
    file.value?.done();
    return check;
  }, "Answers added.");
const remove = (id: number): Promise<boolean> =>
  change(() => removeImport(props.check.id, id), "Answers taken out.");
</script>

<template>
  <details class="mt-3">
    <summary>From a spreadsheet, or to other programs</summary>
    <label for="table">Paste rows here: the child's name, then the answers in clock order.</label>
    <BFormTextarea
      id="table"
      v-model="table"
      rows="4"
      :state="errorMessage ? false : null"
      aria-describedby="table-wrong"
    />
    <p v-if="errorMessage" id="table-wrong" class="field-error" role="alert">{{ errorMessage }}</p>
    <AnswersFile ref="file" :check-id="check.id" @read="(rows) => (table = rows)" />
    <p v-if="message" class="quiet" role="status">{{ message }}</p>
    <div class="d-flex flex-wrap gap-2 mt-2">
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
    <ul v-if="imports?.length && classes.current?.right !== 'teaching'" class="list-unstyled mt-3 mb-0">
      <li v-for="batch in imports" :key="batch.id" class="d-flex align-items-center gap-2 mb-1">
        <span>
          {{ moment(batch.imported_at) }}, {{ clock(batch.imported_at) }}:
          {{ counted(batch.answers, "answer") }} added
        </span>
        <SureButton
          v-if="batch.answers"
          title="Take these answers out?"
          does="Take out"
          :act="() => remove(batch.id)"
          :busy="busy"
          size="sm"
          variant="outline-danger"
        >
          Undo…
          <template #says>What was there before counts again. Answers you changed since then stay.</template>
        </SureButton>
      </li>
    </ul>
  </details>
</template>
