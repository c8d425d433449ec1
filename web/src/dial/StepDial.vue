<script setup lang="ts">
import { computed } from "vue";
import { useFacts } from "@/api";
import DialFace from "./DialFace.vue";
import { ringPart } from "./geometry";

/** The dial that stands for a step: a time of it, and round the rim where its minute hand can point, so that no two look alike. */
const props = defineProps<{ step: string; detail?: "full" | "small" }>();

const INNER = 76;
const OUTER = 97;
const facts = useFacts();
const rung = computed(() => facts.rung(props.step));
/** Half of what lies between two places, at most as much as a numeral's. */
const HALF = { few: 8, many: 3 };
const side = (degrees: number): string => (degrees === 0 ? "full" : degrees <= 180 ? "past" : "to");
const parts = computed(() => {
  const half = rung.value.marks.length > 12 ? HALF.many : HALF.few;
  return rung.value.marks.map((degrees) => ({
    degrees,
    side: side(degrees),
    path: ringPart(degrees - half, degrees + half, INNER, OUTER),
  }));
});
</script>

<template>
  <DialFace :facts="facts.of(rung.example ?? '10:10')" :hands="rung.hands" :detail="detail ?? 'small'">
    <template #under>
      <path v-for="part in parts" :key="part.degrees" :class="part.side" :d="part.path" />
    </template>
  </DialFace>
</template>

<style scoped lang="scss">
.full {
  fill: var(--v-gap);
}

.past {
  fill: var(--v-past-mark);
}

.to {
  fill: var(--v-to-hatch);
}
</style>
