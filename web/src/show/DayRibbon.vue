<script setup lang="ts">
import { useElementSize } from "@vueuse/core";
import { computed, ref } from "vue";
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
/** Late in the day, words end at their time instead of beginning there: there may be no room behind it. */
const late = (at: number): boolean => at > length.value / 2;
const ribbon = ref<HTMLElement>();
const { width } = useElementSize(ribbon);
/** How wide words are, in pixels, at most (measured: nine letters of Andika at this size take 70). */
const LETTER = 8;
const BESIDE = 14;

interface Mark extends DayEvent {
  place: number;
  from: number;
  to: number;
}

function laid(event: DayEvent): Mark {
  const place = facts.dayTimes.findIndex((row) => row.time === event.time.padStart(5, "0"));
  const at = (place / (length.value || 1)) * width.value;
  const long = event.what.length * LETTER + BESIDE;
  return { ...event, place, from: late(place) ? at - long : at, to: late(place) ? at : at + long };
}

/** Outwards from the middle, words that would lie over others lie a line above them: no mark goes through words. */
const marks = computed(() => {
  const all = props.events.map(laid).sort((one, other) => one.place - other.place);
  const outwards = [
    ...all.filter((mark) => !late(mark.place)).reverse(),
    ...all.filter((mark) => late(mark.place)),
  ];
  const found: (Mark & { line: number })[] = [];
  for (const mark of outwards) {
    const met = found.filter((placed) => placed.from < mark.to && placed.to > mark.from);
    found.push({ ...mark, line: Math.max(-1, ...met.map((placed) => placed.line)) + 1 });
  }
  return found.sort((one, other) => one.place - other.place);
});
const lines = computed(() => Math.max(0, ...marks.value.map((mark) => mark.line)) + 1);
const share = (at: number): string => `${(100 * at) / length.value}%`;
</script>

<template>
  <div v-if="length" class="day position-relative px-1 py-0" data-lens="day">
    <ul
      ref="ribbon"
      class="events list-unstyled m-0 position-relative"
      :style="{ '--lines': lines }"
      aria-label="Our day"
    >
      <li
        v-for="mark in marks"
        :key="mark.time + mark.what"
        class="position-absolute bottom-0 lh-1"
        :class="{ late: late(mark.place) }"
        :style="{
          '--line': mark.line,
          ...(late(mark.place) ? { right: share(length - mark.place) } : { left: share(mark.place) }),
        }"
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
      aria-label="Go to a time of day"
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
  height: calc(var(--lines) * 1.65rem);
  padding: 0;

  li {
    padding-bottom: calc(0.1rem + var(--line) * 1.65rem);
    border: 0 solid var(--v-minute);
    border-left-width: 2px;
    pointer-events: none;

    &.late {
      border-width: 0 2px 0 0;
    }
  }

  button {
    pointer-events: auto;
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
    li.late {
      position: static;
      padding: 0;
      border-width: 0 0 2px;
    }
  }
}
</style>
