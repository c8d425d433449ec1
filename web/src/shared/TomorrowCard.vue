<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Findings } from "@/api";
import { DialFace } from "@/dial";
import { seem } from "./wording";

/** The misreading that most children share, and what to do about it tomorrow. */
const props = defineProps<{ shared: Findings["shared"]; heading?: string }>();

const facts = useFacts();
const commonest = computed(() => props.shared[0]);
const texts = computed(() => commonest.value && facts.misreading(commonest.value.misreading));
</script>

<template>
  <BCard v-if="commonest && texts" class="tomorrow">
    <p class="eyebrow">{{ heading ?? "For tomorrow" }}</p>
    <h2 class="what mb-2 lh-sm text-balance">{{ seem(commonest.child_ids.length, texts.does) }}.</h2>
    <p class="move">
      {{ texts.move }}
      <span class="quiet">On the clock, switch on: {{ facts.lensName(texts.lens).toLowerCase() }}.</span>
    </p>
    <div class="times d-grid gap-3 mt-1 mb-3">
      <figure v-for="(time, at) in commonest.times" :key="time" class="m-0">
        <DialFace :facts="facts.of(time)" :label="`A clock at ${time}`" detail="small" />
        <figcaption class="mt-2 text-center fs-90 lh-120">
          <span class="tone-quiet">{{ facts.of(time).usual }}</span>
          <span v-if="commonest.examples[at]" class="d-block">
            Their answer:
            <strong class="d-block">{{ commonest.examples[at] }}</strong>
          </span>
        </figcaption>
      </figure>
    </div>
    <BButton
      variant="primary"
      :to="{ name: 'show', query: { times: commonest.times.join(','), lens: texts.lens } }"
    >
      Show these clocks
    </BButton>
  </BCard>
</template>

<style scoped lang="scss">
.what {
  font-size: 1.45rem;
}

.times {
  grid-template-columns: repeat(3, minmax(0, 8.5rem));
}
</style>
