<script setup lang="ts">
import { computed, ref } from "vue";
import { awaitSuggestions, useApiMutation, useFacts, type Suggestion, type Working } from "@/api";
import { suggestionWords } from "./words";

/** What would help most to reach the aim, each with what would come of it. */
const props = defineProps<{ classId: number; children: number }>();

const facts = useFacts();
const suggestions = ref<Suggestion[] | null>(null);
const { busy, errorMessage, run } = useApiMutation();
const now = ref<Working | null>(null);
const look = (): Promise<boolean> =>
  run(async () => (suggestions.value = await awaitSuggestions(props.classId, (told) => (now.value = told))));
/** How far it is: each way is a forecast of its own. */
const far = computed(() => {
  if (now.value?.of) return `Trying what would help: ${now.value.done} of ${now.value.of}`;
  return now.value?.ahead ? `Waiting for ${now.value.ahead} first…` : "Trying what would help…";
});
const more = (suggestion: Suggestion): string =>
  `${suggestion.more} more, about ${suggestion.likely} of ${props.children} (likely ${suggestion.low} to ${suggestion.high})`;
</script>

<template>
  <div>
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <BButton v-if="!suggestions" variant="outline-primary" size="sm" :disabled="busy" @click="look">
      {{ busy ? far : "What would help?" }}
    </BButton>
    <p v-else-if="!suggestions.length" class="quiet m-0" role="status">
      More lessons, devices or leaving out a step would make no clear difference.
    </p>
    <ul v-else class="list-unstyled d-grid gap-1 p-0 m-0" aria-label="What would help">
      <li v-for="suggestion in suggestions" :key="suggestion.id + suggestion.step">
        <strong>{{ suggestionWords(suggestion, facts) }}:</strong>
        {{ more(suggestion) }}
      </li>
    </ul>
  </div>
</template>
