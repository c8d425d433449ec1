<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type DayEvent } from "@/api";

/** The day from midnight to midnight with its parts and the class's own day; the long hand goes round it twice
 * twelve times. */
const props = defineProps<{ events: readonly DayEvent[] }>();
const place = defineModel<number>({ required: true });

const facts = useFacts();
const length = computed(() => facts.dayTimes.length);
const NAMES = { night: "night", morning: "morning", afternoon: "afternoon", evening: "evening" } as const;

/** Neighbouring times of one part of the day, as stretches of the ribbon. */
const parts = computed(() => {
  const found: { part: keyof typeof NAMES; from: number; to: number }[] = [];
  facts.dayTimes.forEach((row, at) => {
    const last = found.at(-1);
    if (last?.part === row.part) last.to = at + 1;
    else found.push({ part: row.part, from: at, to: at + 1 });
  });
  return found;
});
const marks = computed(() =>
  props.events.map((event, at) => ({
    ...event,
    low: at % 2 === 1,
    place: facts.dayTimes.findIndex((row) => row.time === event.time.padStart(5, "0")),
  })),
);
/** Late in the day, words end at their time instead of beginning there: there may be no room behind it. */
const late = (at: number): boolean => at > length.value / 2;
const share = (at: number): string => `${(100 * at) / length.value}%`;
</script>

<template>
  <div v-if="length" class="day position-relative px-1 py-0" data-lens="day">
    <ul class="events list-unstyled m-0 position-relative" aria-label="The class's day">
      <li
        v-for="mark in marks"
        :key="mark.time + mark.what"
        class="position-absolute bottom-0 lh-1"
        :class="{ low: mark.low, late: late(mark.place) }"
        :style="late(mark.place) ? { right: share(length - mark.place) } : { left: share(mark.place) }"
      >
        <BButton variant="bare" @click="place = mark.place">{{ mark.what }}</BButton>
      </li>
    </ul>
    <div class="parts d-flex overflow-hidden" aria-hidden="true">
      <span
        v-for="part in parts"
        :key="part.from"
        class="text-center fs-90 text-nowrap overflow-hidden"
        :class="part.part"
        :style="{ width: share(part.to - part.from) }"
      >
        {{ NAMES[part.part] }}
      </span>
    </div>
    <BFormInput
      v-model.number="place"
      type="range"
      min="0"
      :max="length - 1"
      aria-label="Go to a time of the day"
      :aria-valuetext="facts.dayTimes[place]?.words"
    />
    <div class="ends d-flex justify-content-between fs-85 tone-quiet" aria-hidden="true">
      <span>midnight</span>
      <span>noon</span>
      <span>midnight</span>
    </div>
  </div>
</template>

<style scoped lang="scss">
.parts {
  height: 1.9rem;
  border-radius: 0.6rem;
  border: 1px solid var(--v-line);

  span {
    line-height: 1.8rem;
  }

  .night {
    background: var(--v-night);
    color: var(--v-paper);
  }

  .morning {
    background: var(--v-past);
  }

  .afternoon {
    background: var(--v-noon);
  }

  .evening {
    background: var(--v-to);
  }
}

input {
  appearance: none;
  position: relative;
  width: 100%;
  height: 1.6rem;
  margin: -0.45rem 0 0;
  background: none;

  &::-webkit-slider-thumb {
    appearance: none;
    width: 1.5rem;
    height: 1.5rem;
    border-radius: 50%;
    border: 3px solid var(--v-paper);
    background: var(--v-minute);
  }
}

.ends {
  margin-top: -0.2rem;
}

.events {
  height: 3.4rem;
  padding: 0;

  li {
    padding-bottom: 1.75rem;
    border: 0 solid var(--v-minute);
    border-left-width: 2px;

    &.late {
      border-width: 0 2px 0 0;
    }

    &.low {
      padding-bottom: 0.1rem;
      z-index: 1;
    }
  }

  button {
    border: 0;
    background: var(--v-paper);
    padding: 0 0.3rem;
    min-height: 1.55rem;
    font-size: 0.9rem;
    line-height: 1.1;
    white-space: nowrap;
  }
}

/* On a phone there is no room for words over their times: they stand in the order of the day. */
@media (max-width: 40rem) {
  .events {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 0.6rem;
    height: auto;
    padding-bottom: 0.5rem;

    li,
    li.low,
    li.late {
      position: static;
      padding: 0;
      border-width: 0 0 2px;
    }
  }
}
</style>
