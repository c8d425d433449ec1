<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Ladder } from "@/api";
import { useClasses } from "@/school";
import { howMany, STATES } from "@/shared";
import { recapWords } from "./term/words";

/** One step of the ladder: where the class is, what it rests on, and what goes with it. */
const props = defineProps<{ step: string; ladder: Ladder; busy: boolean }>();
defineEmits<{ plan: []; select: [step: string] }>();

const facts = useFacts();
const classes = useClasses();
const rung = computed(() => facts.rung(props.step));
const standing = computed(() => props.ladder.steps.find((rung) => rung.id === props.step));
/** Children for whom this step is next: some stumble here, others are ready to begin. */
const nextHere = computed(() => {
  const here = props.ladder.children.filter((child) => child.next_step === props.step);
  const names = (stumbling: boolean): string =>
    here
      .filter((child) => child.stumbles.includes(props.step) === stumbling)
      .flatMap((child) => classes.current?.children.find((pupil) => pupil.id === child.child_id)?.name ?? [])
      .join(", ");
  return { stumbling: names(true), ready: names(false) };
});
</script>

<template>
  <BCard class="rung">
    <h2 class="fs-160">{{ rung.name }}</h2>
    <ul
      v-if="standing"
      class="states list-unstyled d-flex flex-wrap p-0 row-gap-02 column-gap-11 mt-03 mb-06"
    >
      <li v-for="state in STATES" :key="state.id" :class="{ none: howMany(standing, state) === 0 }">
        <i class="bi" :class="state.icon" aria-hidden="true"></i>
        <strong>{{ howMany(standing, state) }}</strong>
        {{ state.word }}
      </li>
    </ul>
    <p v-if="standing?.review_due" class="quiet">{{ recapWords(step, standing, facts) }}.</p>
    <p v-if="nextHere.stumbling" class="mb-08">
      <span class="quiet">Need help with this step:</span>
      {{ nextHere.stumbling }}
    </p>
    <p v-if="nextHere.ready" class="mb-08">
      <span class="quiet">Ready for this step:</span>
      {{ nextHere.ready }}
    </p>
    <BButton v-if="rung.tasks.length" variant="primary" :disabled="busy" @click="$emit('plan')">
      Plan lesson: {{ rung.name.toLowerCase() }}
    </BButton>
    <div v-else class="d-flex flex-wrap gap-2">
      <BButton variant="primary" :to="{ name: 'step-lesson', params: { step } }">
        Open lesson: {{ rung.name.toLowerCase() }}
      </BButton>
    </div>
    <dl class="mt-3 mb-0">
      <template v-if="rung.builds_on.length">
        <dt class="fw-normal fs-95 quiet">Builds on</dt>
        <dd class="mb-06 lh-135">
          <BButton
            v-for="below in rung.builds_on"
            :key="below"
            variant="bare"
            class="below rounded-20 font-inherit px-08 py-01 me-04 ms-0 mt-0 mb-03"
            @click="$emit('select', below)"
          >
            {{ facts.rung(below).name }}
          </BButton>
        </dd>
      </template>
      <dt class="fw-normal fs-95 quiet">Words</dt>
      <dd class="mb-06 lh-135">{{ rung.words.join(", ") }}</dd>
      <template v-if="rung.misreadings.length">
        <dt class="fw-normal fs-95 quiet">Common mistakes</dt>
        <dd class="mb-06 lh-135">{{ rung.misreadings.map((id) => facts.misreading(id).name).join(", ") }}</dd>
      </template>
      <dt class="fw-normal fs-95 quiet">To talk about</dt>
      <dd class="mb-06 lh-135">
        <p v-for="question in rung.questions" :key="question" class="mb-02">{{ question }}</p>
      </dd>
      <template v-if="facts.ofCountry(rung.standards).length">
        <dt class="fw-normal fs-95 quiet">The clock part of</dt>
        <dd class="mb-06 lh-135">{{ facts.ofCountry(rung.standards).join(", ") }}</dd>
      </template>
    </dl>
  </BCard>
</template>

<style scoped lang="scss">
.states {
  .none {
    color: var(--v-quiet);
  }

  .bi {
    margin-right: 0.3rem;
    color: var(--v-right);
  }
}

.below {
  border: 1px dashed var(--v-hour);
}
</style>
