<script setup lang="ts">
import { useDebounceFn } from "@vueuse/core";
import { onMounted, ref, toRef } from "vue";
import { readFindings, type Check, type Findings } from "@/api";
import { TomorrowCard } from "@/class";
import AnswerGrid from "./AnswerGrid.vue";
import { useTypedAnswers } from "./answers";
import LastAnswer from "./LastAnswer.vue";
import WhatTheyTell from "./WhatTheyTell.vue";

/** The grid of a check, and beside it what the answers say so far. */
const props = defineProps<{ check: Check }>();

const answers = useTypedAnswers(toRef(props, "check"));
const findings = ref<Findings | null>(null);

async function look(): Promise<void> {
  try {
    findings.value = await readFindings(props.check.id);
  } catch {
    // The grid says when the server does not answer; the findings come with the next answer stored.
  }
}

const lookSoon = useDebounceFn(look, 250);
onMounted(look);
</script>

<template>
  <div class="type-in">
    <div>
      <AnswerGrid :check="check" :answers="answers" :findings="findings" @stored="lookSoon" />
      <LastAnswer :check="check" :answers="answers" />
    </div>
    <aside>
      <TomorrowCard v-if="findings?.shared.length" :shared="findings.shared" heading="So far" />
      <BCard v-else>
        <p class="eyebrow">So far</p>
        <p class="mb-0">
          Nothing misread yet. What lies behind the mistakes stands here as soon as there are some.
        </p>
      </BCard>
      <WhatTheyTell :choice="check.choice" />
    </aside>
  </div>
</template>

<style scoped>
.type-in {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 17.5rem;
  gap: 1.5rem;
  align-items: start;
}

aside {
  display: grid;
  gap: 1.25rem;
  position: sticky;
  top: 1rem;
}

@media (max-width: 60rem) {
  .type-in {
    grid-template-columns: minmax(0, 1fr);
  }

  aside {
    position: static;
  }
}
</style>
