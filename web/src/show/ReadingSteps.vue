<script setup lang="ts">
import { computed } from "vue";
import type { DialFacts } from "@/api";

/** The reading in four steps, each covered until asked for. */
const props = defineProps<{ facts: DialFacts; uncovered: number; open: boolean }>();
defineEmits<{ next: []; open: [open: boolean] }>();

const steps = computed(() => [
  { name: "The short hand", text: props.facts.sentences.hour, big: false },
  { name: "The long hand", text: props.facts.sentences.minutes, big: false },
  { name: "In words", text: props.facts.usual, big: true },
  { name: "In digits", text: props.facts.digital, big: true },
]);
const action = computed(() =>
  props.uncovered < steps.value.length ? "Uncover the next step" : "Cover it again",
);
</script>

<template>
  <section class="reading" aria-label="The reading">
    <p class="eyebrow">Say it</p>
    <ol aria-live="polite">
      <li
        v-for="(step, at) in steps"
        :key="step.name"
        :class="{ now: at === uncovered - 1, covered: at >= uncovered }"
      >
        <p class="name">{{ step.name }}</p>
        <p v-if="at < uncovered" class="text" :class="{ big: step.big }">
          <template v-for="(word, place) in step.text.split(' ')" :key="place">
            <span>{{ word }}</span>
            {{ " " }}
          </template>
        </p>
        <p v-else class="cover">covered</p>
      </li>
    </ol>
    <BButton v-if="!open" class="next" variant="primary" @click="$emit('next')">
      {{ action }}
      <kbd class="key" aria-hidden="true">Space</kbd>
    </BButton>
    <BFormCheckbox :model-value="open" switch @update:model-value="$emit('open', Boolean($event))">
      Keep it uncovered
      <kbd class="key" aria-hidden="true">K</kbd>
    </BFormCheckbox>
    <p class="quiet hint">
      Turn the long hand, or
      <kbd class="key">←</kbd>
      <kbd class="key">→</kbd>
      by one minute, with
      <kbd class="key">Shift</kbd>
      by five
    </p>
  </section>
</template>

<style scoped lang="scss">
.reading {
  display: flex;
  flex-direction: column;
  min-width: 0;
}

ol {
  list-style: none;
  padding: 0;
  margin: 0 0 1.25rem;
}

li {
  border-left: 4px solid var(--v-line);
  padding: 0.1rem 0 0.7rem 1.1rem;

  &.now {
    border-color: var(--v-minute);
  }
}

.name {
  margin: 0;
  font-size: 0.95rem;
  color: var(--v-quiet);
}

.text {
  margin: 0;
  font-size: clamp(1.25rem, 1.6vw, 2rem);
  line-height: 1.35;

  &.big {
    font-size: clamp(1.8rem, 2.4vw, 3.5rem);
    font-weight: 700;
    line-height: 1.2;
    text-wrap: balance;
  }
}

/* A number such as twenty-three stays on one line. */
.big span {
  white-space: nowrap;
}

.cover {
  margin: 0.2rem 0 0;
  padding: 0.45rem 1rem;
  border-radius: 0.7rem;
  color: var(--v-quiet);
  background: repeating-linear-gradient(135deg, var(--v-shade) 0 10px, #eae1cf 10px 20px);
}

.next {
  align-self: start;
  margin-bottom: 0.8rem;
}

.hint {
  margin-top: auto;
  margin-bottom: 0;
  font-size: 0.95rem;
}
</style>
