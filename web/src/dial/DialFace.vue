<script setup lang="ts">
import { computed } from "vue";
import type { DialFacts } from "@/api/client";
import { HAND_SHAPES, pointAt, RADII, ticks } from "./geometry";

/** A dial as a picture. Numerals stand outside the marks, so that no hand ever covers one. */
const props = withDefaults(
  defineProps<{
    facts: Pick<DialFacts, "hour_hand_degrees" | "minute_hand_degrees"> & { time?: string };
    /** `small` leaves out what cannot be seen at the size of a thumb. */
    detail?: "full" | "small";
    /** Room around the rim, in hundredths of the radius. */
    margin?: number;
    /** Supports that can be taken away. */
    numerals?: boolean;
    /** Roman ones, as on church clocks: they stand with their feet towards the middle. */
    roman?: boolean;
    marks?: boolean;
    /** Which hands are on it. */
    hands?: "both" | "hour" | "minute" | "none";
    /** Hands that are spoken of: they have a rim of light round them. */
    lit?: readonly (string | undefined)[];
    /** What the picture is called; left out where the words beside it say it already. */
    label?: string;
  }>(),
  {
    detail: "full",
    margin: 4,
    numerals: true,
    roman: false,
    marks: true,
    hands: "both",
    lit: () => [],
    label: undefined,
  },
);

const view = computed(() => {
  const half = 100 + props.margin;
  return `${-half} ${-half} ${2 * half} ${2 * half}`;
});
const FIVES = ticks(5, RADII.tickFive, RADII.track);
const FIVES_SMALL = ticks(5, 72, 88);
const ONES = ticks(1, RADII.tickOne, RADII.track);
const NUMERALS = Array.from({ length: 12 }, (_, place) => ({
  text: String(place + 1),
  ...pointAt((place + 1) * 30, RADII.numerals),
}));
const ROMAN = ["I", "II", "III", "IIII", "V", "VI", "VII", "VIII", "IX", "X", "XI", "XII"];
const fiveTicks = computed(() => (props.detail === "full" ? FIVES : FIVES_SMALL));
</script>

<template>
  <svg
    class="dial d-block w-100 mh-100 square"
    :class="detail"
    :viewBox="view"
    :role="label ? 'img' : undefined"
    :aria-label="label"
    :aria-hidden="label ? undefined : 'true'"
    :data-time="facts.time"
  >
    <circle class="face" :r="98.5" />
    <slot name="under" />
    <circle v-if="detail === 'full'" class="track" :r="RADII.track" />
    <path v-if="marks && detail === 'full'" class="tick" :d="ONES" />
    <path v-if="marks" class="tick five" :d="fiveTicks" />
    <g v-if="roman && numerals && detail === 'full'" class="numerals roman fw-bold">
      <text
        v-for="(numeral, place) in ROMAN"
        :key="numeral"
        :transform="`rotate(${(place + 1) * 30})`"
        :y="-RADII.numerals"
        dy=".36em"
      >
        {{ numeral }}
      </text>
    </g>
    <g v-else-if="numerals && detail === 'full'" class="numerals fw-bold">
      <text v-for="numeral in NUMERALS" :key="numeral.text" :x="numeral.x" :y="numeral.y" dy=".36em">
        {{ numeral.text }}
      </text>
    </g>
    <slot name="over" />
    <path
      v-if="hands === 'both' || hands === 'hour'"
      class="hand hour"
      :class="{ lit: lit.includes('hour') }"
      :d="HAND_SHAPES.hour"
      :transform="`rotate(${facts.hour_hand_degrees})`"
    />
    <path
      v-if="hands === 'both' || hands === 'minute'"
      class="hand minute"
      :class="{ lit: lit.includes('minute') }"
      :d="HAND_SHAPES.minute"
      :transform="`rotate(${facts.minute_hand_degrees})`"
    />
    <circle class="pin" r="4.6" />
    <slot name="hands" />
  </svg>
</template>

<style scoped lang="scss">
.dial {
  overflow: visible;
}

.face {
  fill: var(--v-card);
  stroke: var(--v-ink);
  stroke-width: 1.8;
}

.track {
  fill: none;
  stroke: var(--v-ink);
  stroke-width: 0.6;
}

.tick {
  stroke: var(--v-ink);
  stroke-width: 0.8;
  stroke-linecap: round;

  &.five {
    stroke-width: 2;
  }
}

.numerals {
  font-size: 17px;
  text-anchor: middle;
  fill: var(--v-ink);
}

.hand.hour {
  fill: var(--v-hour);
}

.hand.minute {
  fill: var(--v-minute);
}

.lit {
  paint-order: stroke;
  stroke-width: 5;
  stroke-linejoin: round;

  &.hour {
    stroke: var(--v-hour-glow);
  }

  &.minute {
    stroke: var(--v-minute-glow);
  }
}

.pin {
  fill: var(--v-ink);
}

.small {
  .face {
    stroke-width: 5;
  }

  .tick.five {
    stroke-width: 4.5;
  }

  .hand {
    stroke-width: 4;
    stroke-linejoin: round;
  }

  .hand.hour {
    stroke: var(--v-hour);
  }

  .hand.minute {
    stroke: var(--v-minute);
  }
}

@media print {
  .hand {
    print-color-adjust: exact;
  }
}
</style>
