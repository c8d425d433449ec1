<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Ladder } from "@/api";
import { StepDial } from "@/dial";
import { countsInWords } from "@/shared";
import StateBar from "./StateBar.vue";

/** The ladder as the way into the class: each step a small dial with how much of the class is where. */
const props = defineProps<{ ladder: Ladder; selected: string }>();
defineEmits<{ select: [step: string] }>();

const facts = useFacts();
const rungs = computed(() =>
  (facts.catalogue?.ladder ?? []).map((rung) => ({
    ...rung,
    standing: props.ladder.steps.find((step) => step.id === rung.id),
    rests: facts.rung(props.selected)?.builds_on.includes(rung.id) ?? false,
  })),
);
</script>

<template>
  <ol class="ladder list-unstyled d-grid gap-06 m-0 p-0" aria-label="The ladder">
    <li v-for="rung in rungs" :key="rung.id">
      <BButton
        variant="bare"
        class="choice position-relative d-grid justify-items-center align-content-start gap-1 w-100 h-100 text-center"
        :aria-pressed="rung.id === selected"
        :class="{ rests: rung.rests, next: rung.id === ladder.next.step }"
        @click="$emit('select', rung.id)"
      >
        <StepDial class="rung-dial" :step="rung.id" />
        <span class="name lh-120">{{ rung.name }}</span>
        <StateBar :step="rung.standing" />
        <span class="counts fs-80 lh-120 tone-quiet">{{ countsInWords(rung.standing) }}</span>
        <span v-if="rung.id === ladder.next.step" class="flag position-absolute fs-80 on-shade">next</span>
        <span v-else-if="rung.rests" class="flag position-absolute fs-80 on-shade">below</span>
      </BButton>
    </li>
  </ol>
</template>

<style scoped lang="scss">
.ladder {
  grid-template-columns: repeat(auto-fill, minmax(9.4rem, 1fr));
}

button {
  padding: 0.7rem 0.6rem 0.6rem;

  &.rests {
    border-style: dashed;
    border-color: var(--v-hour);
  }

  &.next:not([aria-pressed="true"]) {
    border-color: var(--v-minute);
  }
}

.rung-dial {
  width: 3.6rem;
}

.flag {
  top: 0.35rem;
  right: 0.45rem;
  padding: 0 0.45rem;
  border-radius: 1rem;
}

.next .flag {
  background: var(--v-minute);
  color: var(--v-card);
}
</style>
