<script setup lang="ts">
import { computed } from "vue";
import type { DeskTurn } from "@/api/client";
import DialLenses from "@/dial/DialLenses.vue";
import MinuteNumbers from "@/dial/MinuteNumbers.vue";
import { RADII } from "@/dial/geometry";

/** Help on the clock for a child who is new to a step: where the hour is, minutes round it, and which side is which. */
const props = defineProps<{ help: NonNullable<DeskTurn["items"][number]["on_clock"]>; under?: boolean }>();

const NO_LENSES: ReadonlySet<string> = new Set();
const lights = computed(() => {
  const from = props.help.hour_gap;
  return from === null ? [] : [{ kind: "gap" as const, from, to: (from % 12) + 1 }];
});
</script>

<template>
  <DialLenses v-if="under" :lenses="NO_LENSES" :lights="lights" past-word="" to-word="" />
  <g v-else data-help="clock">
    <MinuteNumbers v-if="help.minute_numbers" :both-sides="help.minute_numbers === 'both_sides'" />
    <template v-if="help.sides">
      <text class="side" :x="-RADII.corner" y="-96">{{ help.sides[0] }}</text>
      <text class="side" :x="RADII.corner" y="-96" text-anchor="end">{{ help.sides[1] }}</text>
    </template>
  </g>
</template>

<style scoped>
.side {
  font-size: 14px;
  font-weight: 700;
  fill: var(--v-ink);
}
</style>
