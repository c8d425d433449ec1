<script setup lang="ts">
import { computed, ref } from "vue";
import { useFacts, type Light } from "@/api";
import { TurnedDial } from "@/dial";

/** Counting once round by fives with the long hand hopping, forward and then backward. */
const HOPS = 12;
const facts = useFacts();
/** Hops made: twelve forward, twelve back. */
const hop = ref(0);
const forward = computed(() => hop.value <= HOPS);
const fives = computed(() => (forward.value ? hop.value : 2 * HOPS - hop.value));
const place = computed(() => (fives.value % HOPS) * 5);
const said = computed(() => (fives.value === HOPS ? 60 : facts.at(place.value).minutes_past));
const lenses = new Set(["minute_alone"]);
/** The numbers said so far stay on the dial while counting forward, and go while counting back. */
const lights = computed<Light[]>(() => {
  const counts = Array.from({ length: fives.value }, (_, at) => [(at + 1) * 5, (at + 1) * 5]);
  return counts.length ? [{ kind: "sweep", from: 0, to: Math.min(fives.value * 5, 59.9), counts }] : [];
});

/** One hop; false when it went round both ways. */
function next(): boolean {
  if (hop.value >= 2 * HOPS) return false;
  hop.value += 1;
  return true;
}

defineExpose({ next });
</script>

<template>
  <div class="counting">
    <div class="dial-room hopping">
      <TurnedDial :model-value="place" :lenses="lenses" :lights="lights" />
    </div>
    <div class="beside">
      <p class="eyebrow">{{ forward ? "Count on in fives" : "And back again" }}</p>
      <p class="said" aria-live="polite">{{ said }}</p>
    </div>
  </div>
</template>

<style scoped lang="scss">
.counting {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(15rem, 27%);
  gap: 1.5rem;
  height: 100%;
  min-height: 0;
}

.dial-room {
  display: flex;
  justify-content: center;
  align-items: center;
  min-height: 0;
}

.said {
  font-size: clamp(5rem, 10vw, 12rem);
  font-weight: 700;
  line-height: 1;
  color: var(--v-minute);
  margin: 0;
}

.beside {
  align-self: center;
}
</style>
