<script setup lang="ts">
import { computed, ref } from "vue";
import { readHelps, useDoing, useFacts, type Help, type Working } from "@/api";
import { helpWords } from "./words";

/** What would help most to reach the aim, each with what would come of it. */
const props = defineProps<{ classId: number; children: number }>();

const facts = useFacts();
const helps = ref<Help[] | null>(null);
const { busy, trouble, doing } = useDoing();
const now = ref<Working | null>(null);
const look = (): Promise<boolean> =>
  doing(async () => (helps.value = await readHelps(props.classId, (told) => (now.value = told))));
/** How far it is: each way is a forecast of its own. */
const far = computed(() => {
  if (now.value?.of) return `Trying what would help: ${now.value.done} of ${now.value.of}`;
  return now.value?.ahead ? `Waiting for ${now.value.ahead} first…` : "Trying what would help…";
});
const more = (help: Help): string =>
  `${help.more} more, about ${help.likely} of ${props.children} (likely ${help.low} to ${help.high})`;
</script>

<template>
  <div>
    <p v-if="trouble" role="alert" class="field-error">{{ trouble }}</p>
    <BButton v-if="!helps" variant="outline-primary" size="sm" :disabled="busy" @click="look">
      {{ busy ? far : "What would help?" }}
    </BButton>
    <p v-else-if="!helps.length" class="quiet m-0" role="status">
      More lessons, devices or leaving out a step would make no clear difference.
    </p>
    <ul v-else class="list-unstyled d-grid gap-1 p-0 m-0" aria-label="What would help">
      <li v-for="help in helps" :key="help.id + help.step">
        <strong>{{ helpWords(help, facts) }}:</strong>
        {{ more(help) }}
      </li>
    </ul>
  </div>
</template>
