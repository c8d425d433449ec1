<script setup lang="ts">
import { computed } from "vue";
import { restoreRemoved, listRemoved, useApiQuery, useApiMutation, useFacts, type Removed } from "@/api";
import { counted, dayWords, moment } from "@/words";
import { useJustRemoved } from "./removed";

/** What was removed lately, the way back, and a word about what was removed just now. */
const props = defineProps<{ classId: number; kinds: readonly Removed["kind"][] }>();

const facts = useFacts();
const just = useJustRemoved();
const { data } = useApiQuery(listRemoved, () => [props.classId], {
  select: (found) => found.removed,
});
const removed = computed(() => (data.value ?? []).filter((removal) => props.kinds.includes(removal.kind)));
const now = computed(() => removed.value.find((removal) => removal.id === just.value?.id));
const earlier = computed(() => removed.value.filter((removal) => removal.id !== just.value?.id));
const { busy, errorMessage, run } = useApiMutation();

/** "Quarter hours, in words, of Wed 25 Nov, with 30 answers". */
function says({ kind, about }: Removed): string {
  const step = about.step ? facts.rung(about.step).name : "";
  if (kind === "lesson") return `${step}, ${dayWords(about.at)}`;
  const at = moment(about.at);
  const answers = about.answers ? `, with ${counted(about.answers, "answer")}` : "";
  if (kind === "desk") return `Practice on devices${step ? `: ${step.toLowerCase()}` : ""}, ${at}${answers}`;
  return `${facts.titleOf({ step: about.step ?? "", task: about.task ?? "" })}, ${at}${answers}`;
}

const back = async (removal: Removed): Promise<boolean> =>
  !busy.value &&
  run(async () => {
    await restoreRemoved(removal.id);
    if (just.value?.id === removal.id) just.value = null;
  });
</script>

<template>
  <!-- Gone and not hidden when it is over: keys that were in it go on from there. -->
  <div role="status">
    <BAlert v-if="now" model-value variant="light" class="now d-flex align-items-center mx-0 mt-0 mb-3">
      Deleted: {{ says(now) }}.
      <BButton variant="link" @click="back(now)">
        <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
        Restore
      </BButton>
    </BAlert>
  </div>
  <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
  <details v-if="earlier.length">
    <summary class="quiet">Deleted lately: {{ earlier.length }}</summary>
    <ul class="list-unstyled">
      <li v-for="removal in earlier" :key="removal.id">
        {{ says(removal) }}
        <span class="quiet">
          deleted {{ moment(removal.removed_at) }}; you can restore it for thirty days
        </span>
        <BButton variant="link" :aria-label="`Restore ${says(removal)}`" @click="back(removal)">
          Restore
        </BButton>
      </li>
    </ul>
  </details>
</template>

<style scoped lang="scss">
.now {
  padding: 0.25rem 1rem;
  background: var(--v-shade);
  border-color: var(--v-line);
}
</style>
