<script setup lang="ts">
import { computed } from "vue";
import { useFacts } from "@/api";

/** The twelve hours as a ribbon to slide along. */
const place = defineModel<number>({ required: true });
const facts = useFacts();
const shown = computed(() => facts.at(place.value));
</script>

<template>
  <div class="ribbon px-2 pt-1 pb-0">
    <BFormInput
      v-model.number="place"
      type="range"
      min="0"
      :max="facts.times.length - 1"
      aria-label="Go to a time"
      :aria-valuetext="shown.digital"
    />
    <div class="hours d-flex justify-content-between px-01 py-0 fs-85 tone-quiet" aria-hidden="true">
      <span v-for="hour in 13" :key="hour" class="text-center">{{ hour === 1 ? 12 : hour - 1 }}</span>
    </div>
  </div>
</template>

<style scoped lang="scss">
.ribbon {
  input {
    appearance: none;
    display: block;
    width: 100%;
    height: 1.6rem;
    margin: 0;
    background: repeating-linear-gradient(
        90deg,
        var(--v-shade) 0 calc(100% / 12 - 2px),
        var(--v-line) calc(100% / 12 - 2px) calc(100% / 12)
      )
      center / 100% 0.7rem no-repeat;

    &::-webkit-slider-thumb {
      appearance: none;
      width: 1.5rem;
      height: 1.5rem;
      border-radius: 50%;
      border: 3px solid var(--v-paper);
      background: var(--v-minute);
    }

    &::-moz-range-thumb {
      width: 1.2rem;
      height: 1.2rem;
      border-radius: 50%;
      border: 3px solid var(--v-paper);
      background: var(--v-minute);
    }
  }
}

.hours {
  span {
    width: 1rem;
  }
}
</style>
