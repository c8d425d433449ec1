<script setup lang="ts">
import { computed, ref } from "vue";
import { useFacts } from "@/api";
import { TurnedDial } from "@/dial";

/** Counting once round with one hand hopping, forward and then backward; core says what is counted. */
const props = defineProps<{ kind: string }>();

const facts = useFacts();
const round = computed(() => facts.catalogue?.counting.find((round) => round.kind === props.kind));
const hops = computed(() => round.value?.hops ?? []);
const made = ref(0);
const hop = computed(() => hops.value[made.value]);
const place = computed(() => hop.value?.place ?? 0);
const lenses = computed(() => new Set([`${round.value?.hand ?? "minute"}_alone`]));

/** One hop; false when it went round both ways. */
function next(): boolean {
  if (made.value >= hops.value.length - 1) return false;
  made.value += 1;
  return true;
}

defineExpose({ next });
</script>

<template>
  <div class="counting d-grid gap-4 h-100 min-h-0">
    <div class="d-flex justify-content-center align-items-center min-h-0 hopping">
      <TurnedDial :model-value="place" :lenses="lenses" :lights="hop?.lights ?? []" />
    </div>
    <div class="align-self-center">
      <p class="eyebrow">{{ hop?.direction === "back" ? "And back again" : facts.kindName(kind) }}</p>
      <p class="said fw-bold m-0 lh-1" :class="`tone-${round?.hand ?? 'minute'}`" aria-live="polite">
        {{ hop?.said }}
      </p>
    </div>
  </div>
</template>

<style scoped lang="scss">
.counting {
  grid-template-columns: minmax(0, 1fr) minmax(15rem, 27%);
}

.said {
  font-size: clamp(5rem, 10vw, 12rem);
}
</style>
