<script setup lang="ts">
import { ref, shallowRef } from "vue";
import {
  fileSent,
  previewChildFile,
  importChildFile,
  useApiMutation,
  type ChildFileFound,
  type SchoolClass,
} from "@/api";
import { FileField } from "@/ui";
import { counted, moment } from "@/words";

/** A child with every answer from another Vantick: shown first, then added. */
const props = defineProps<{ classId: number }>();
const emit = defineEmits<{ taken: [schoolClass: SchoolClass] }>();

const file = ref<File | null>(null);
const sent = ref("");
const found = shallowRef<ChildFileFound | null>(null);
const { busy, errorMessage, run } = useApiMutation();

async function look(): Promise<void> {
  const chosen = file.value;
  found.value = null;
  if (!chosen) return;
  await run(async () => {
    sent.value = await fileSent(chosen);
    found.value = await previewChildFile(props.classId, { file: sent.value });
  });
}

async function take(): Promise<void> {
  const done = await run(async () =>
    emit("taken", await importChildFile(props.classId, { file: sent.value })),
  );
  if (!done) return;
  file.value = null;
  found.value = null;
}
</script>

<template>
  <details class="mt-3">
    <summary>One child, from another Vantick</summary>
    <FileField
      id="child-file"
      v-model="file"
      label="The child's file (JSON)"
      accept=".json"
      :wrong="errorMessage"
      class="mt-2"
      @chosen="look"
    />
    <div v-if="found" role="status">
      <p class="mb-2">
        <strong>{{ found.name }}</strong>
        with {{ counted(found.answers, "answer") }}
        <template v-if="found.first && found.last">
          from {{ moment(found.first) }} to {{ moment(found.last) }}
        </template>
      </p>
      <BButton variant="primary" :disabled="busy" @click="take">Add {{ found.name }}</BButton>
    </div>
  </details>
</template>
