<script setup lang="ts">
import { ref, shallowRef } from "vue";
import { packageSent, previewAnswers, useApiMutation, type AnswersFound } from "@/api";
import { FileField } from "@/ui";
import { counted } from "@/words";

/** Answers that children gave in another program: they come as rows to look at, and what doesn't fit is named. */
const props = defineProps<{ checkId: number }>();
const emit = defineEmits<{ read: [table: string] }>();

const file = ref<File | null>(null);
const found = shallowRef<AnswersFound | null>(null);
const { errorMessage, run } = useApiMutation();

async function look(): Promise<void> {
  const chosen = file.value;
  found.value = null;
  if (!chosen) return;
  await run(async () => {
    found.value = await previewAnswers(props.checkId, { file: await packageSent(chosen) });
    emit("read", found.value.table);
  });
}

/** What is shown of a file goes once its rows are added. */
const done = (): void => {
  file.value = null;
  found.value = null;
};
defineExpose({ done });
</script>

<template>
  <FileField
    id="answers-file"
    v-model="file"
    label="Or a file from another program: QTI results, or CSV with child, question and answer"
    accept=".zip,.xml,.csv,.txt"
    :wrong="errorMessage"
    class="mt-2"
    @chosen="look"
  />
  <div v-if="found" role="status">
    <p class="mb-1">{{ counted(found.answers, "answer") }} found. Look at the rows above, then add them.</p>
    <template v-if="found.left_out.length">
      <p class="mb-1">{{ counted(found.left_out.length, "answer") }} left out:</p>
      <ul class="quiet left-out">
        <li v-for="answer in found.left_out" :key="answer.place">{{ answer.place }}: {{ answer.why }}</li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.left-out {
  max-height: 10rem;
  overflow: auto;
}
</style>
