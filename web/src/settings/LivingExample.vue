<script setup lang="ts">
import { computed, ref } from "vue";
import { useFacts } from "@/api";
import { DialFace } from "@/dial";

/** One time said as the class says it. */
const EXAMPLES = ["7:45", "4:49", "3:30", "9:20"];
const facts = useFacts();
const time = ref(EXAMPLES[0] as string);
const shown = computed(() => facts.of(time.value));
</script>

<template>
  <BCard class="example">
    <h2 class="eyebrow">How your class says it</h2>
    <div class="row-of d-grid align-items-center gap-4">
      <DialFace class="example-dial" :facts="shown" :label="shown.usual" />
      <div aria-live="polite">
        <p class="said fw-bold m-0 lh-120">{{ shown.usual }}</p>
        <p class="fs-135 mt-02 mb-0">{{ shown.digital }}</p>
      </div>
    </div>
    <ol class="my-3">
      <li v-for="step in shown.steps" :key="step.sentence">{{ step.sentence }}</li>
    </ol>
    <div class="dial-choices d-flex gap-2" role="group" aria-label="Another example">
      <BButton
        v-for="example in EXAMPLES"
        :key="example"
        variant="bare"
        :aria-pressed="example === time"
        :aria-label="facts.of(example).digital"
        @click="time = example"
      >
        <DialFace :facts="facts.of(example)" detail="small" />
      </BButton>
    </div>
  </BCard>
</template>

<style scoped lang="scss">
.row-of {
  grid-template-columns: 11rem minmax(0, 1fr);
}

.said {
  font-size: 1.8rem;
}

ol {
  padding-left: 1.3rem;
}
</style>
