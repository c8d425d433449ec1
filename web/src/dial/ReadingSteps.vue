<script setup lang="ts">
import { computed } from "vue";
import type { ReadingLine } from "./reading";

/** How to read it in short steps, each hidden until asked for. */
const props = defineProps<{
  lines: readonly ReadingLine[];
  uncovered: number;
  open: boolean;
  otherWays: readonly string[];
  others: boolean;
  /** What is done when all is uncovered, where it is something else than covering it again. */
  last?: string;
}>();
defineEmits<{ next: []; open: [open: boolean]; others: [] }>();

const action = computed(() =>
  props.uncovered < props.lines.length ? "Show next line" : (props.last ?? "Hide again"),
);
</script>

<template>
  <section class="reading d-flex flex-column align-items-start min-w-0" aria-label="How to read it">
    <p class="eyebrow">Say it</p>
    <ol class="list-unstyled p-0 w-100 mb-3" aria-live="polite">
      <li
        v-for="(line, at) in lines"
        :key="at"
        :class="{ now: at === uncovered - 1, hidden: at >= uncovered, more: line.name === '' }"
      >
        <p v-if="line.name" class="name">{{ line.name }}</p>
        <p v-if="at < uncovered" class="text m-0 lh-130" :class="{ big: line.big }">
          <template v-for="(word, place) in line.text.split(' ')" :key="place">
            <span>{{ word }}</span>
            {{ " " }}
          </template>
        </p>
        <p v-else class="cover under-paper rounded-07 quiet">hidden</p>
        <p v-if="line.note && at < uncovered" class="note">{{ line.note }}</p>
      </li>
    </ol>
    <BButton v-if="!open" class="next mb-2" variant="primary" @click="$emit('next')">
      {{ action }}
      <kbd class="key" aria-hidden="true">Space</kbd>
    </BButton>
    <BFormCheckbox
      v-if="!last"
      :model-value="open"
      switch
      @update:model-value="$emit('open', Boolean($event))"
    >
      Always show
      <kbd class="key" aria-hidden="true">K</kbd>
    </BFormCheckbox>
    <BButton
      v-if="otherWays.length"
      variant="bare"
      class="py-03 text-decoration-underline"
      :aria-expanded="others"
      @click="$emit('others')"
    >
      Someone at home may say
      <kbd class="key" aria-hidden="true">O</kbd>
    </BButton>
    <p v-if="others && otherWays.length" class="ways m-0 lh-135">{{ otherWays.join(" · ") }}</p>
  </section>
</template>

<style scoped lang="scss">
li {
  border-left: 4px solid var(--v-line);
  padding: 0.1rem 0 0.55rem 1.1rem;

  &.more {
    padding-top: 0;
  }

  &.now {
    border-color: var(--v-minute);
  }
}

.name,
.note {
  margin: 0;
  font-size: 0.95rem;
  color: var(--v-quiet);
}

.text {
  font-size: clamp(1.2rem, 1.5vw, 2rem);

  &.big {
    font-size: clamp(1.7rem, 2.3vw, 3.5rem);
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
  margin: 0.15rem 0 0;
  padding: 0.3rem 1rem;
}
</style>
