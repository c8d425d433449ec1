<script setup lang="ts">
import type { Lesson } from "@/api";

/** The lesson as one quiet bar: how much of each stage's time is used. No numbers: it is no countdown. */
defineProps<{ lesson: Lesson; stageAt: number; used: readonly number[] }>();
defineEmits<{ go: [at: number] }>();
</script>

<template>
  <ol class="bar d-flex gap-2 list-unstyled m-0 p-0 flex-1" aria-label="The parts of the lesson">
    <li
      v-for="(stage, at) in lesson.stages"
      :key="stage.id"
      class="min-w-0"
      :style="{ flexGrow: stage.minutes }"
    >
      <BButton
        variant="bare"
        class="w-100 py-01 text-start text-nowrap"
        :class="{ here: at === stageAt, over: (used[at] ?? 0) > 1 }"
        :aria-current="at === stageAt ? 'step' : undefined"
        @click="$emit('go', at)"
      >
        <span class="name" :title="stage.name">{{ stage.name }}</span>
        <span class="track d-block overflow-hidden on-shade">
          <span class="fill d-block h-100" :style="{ width: `${Math.min(1, used[at] ?? 0) * 100}%` }"></span>
        </span>
      </BButton>
    </li>
  </ol>
</template>

<style scoped lang="scss">
li {
  flex: 1 1 0;
}

button {
  color: var(--v-quiet);

  &.here {
    color: var(--v-ink);
    font-weight: 700;
  }
}

.track {
  height: 0.5rem;
  border-radius: 0.25rem;
}

.fill {
  background: var(--v-edge);
  transition: width 1s linear;
}

.here .fill {
  background: var(--v-hour);
}

.over .fill {
  background: repeating-linear-gradient(135deg, var(--v-hour) 0 6px, var(--v-gap) 6px 12px);
}

/* On a phone the name of the stage that is on is enough. */
@media (max-width: 40rem) {
  .bar {
    min-width: 0;
  }

  button:not(.here) .name {
    visibility: hidden;
  }

  .name {
    display: block;
    width: 0;
    min-height: 1.5rem;
  }

  li {
    min-width: 0.6rem;
  }
}

@media (prefers-reduced-motion: reduce) {
  .fill {
    transition: none;
  }
}
</style>
