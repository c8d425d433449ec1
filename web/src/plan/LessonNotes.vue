<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Lesson } from "@/api";
import HingeQuestions from "./HingeQuestions.vue";

/** What goes with a lesson: how to begin, what to ask, what to write on the board, the method line by line. */
const props = defineProps<{ lesson: Lesson; busy: boolean }>();
defineEmits<{ opening: [at: number] }>();

const facts = useFacts();
const rung = computed(() => facts.rung(props.lesson.step));
const opening = computed(() => rung.value.openings[props.lesson.opening % rung.value.openings.length]);
const shown = computed(() => Object.entries(props.lesson.exit_choice.chances));
const named = (ids: [string, number][]): string => ids.map(([id]) => facts.misreading(id).name).join(", ");
const can = computed(() => named(shown.value.filter(([, count]) => count > 0)));
const cannot = computed(() => named(shown.value.filter(([, count]) => count === 0)));
</script>

<template>
  <div class="d-grid gap-3 align-content-start">
    <section>
      <p class="eyebrow">Opening</p>
      <p class="opening fs-120">{{ opening }}</p>
      <BButton
        v-if="rung.openings.length > 1"
        variant="link"
        class="p-0 min-h-0"
        :disabled="busy"
        @click="$emit('opening', (lesson.opening + 1) % rung.openings.length)"
      >
        Another opening
      </BButton>
    </section>
    <section v-if="lesson.needs.length">
      <p class="eyebrow">Have ready</p>
      <ul class="m-0">
        <li v-for="thing in lesson.needs" :key="thing">{{ thing }}</li>
      </ul>
    </section>
    <HingeQuestions :lesson="lesson" />
    <section>
      <p class="eyebrow">To talk about</p>
      <p v-for="question in rung.questions" :key="question">{{ question }}</p>
    </section>
    <section>
      <p class="eyebrow">On the board</p>
      <ul class="words list-unstyled d-flex flex-wrap gap-1 m-0">
        <li v-for="word in rung.words" :key="word" class="px-08 py-01 rounded-20 on-shade">{{ word }}</li>
      </ul>
    </section>
    <section>
      <p class="eyebrow">Your class's method, as a checklist</p>
      <ul class="method list-unstyled m-0">
        <li v-for="line in lesson.method_lines" :key="line" class="d-grid py-015">
          <i class="bi bi-square" aria-hidden="true"></i>
          {{ line }}
        </li>
      </ul>
    </section>
    <section v-if="shown.length">
      <p class="eyebrow">What the exit check can show</p>
      <p v-if="can">{{ can }}</p>
      <p v-if="cannot" class="quiet">Not: {{ cannot }}</p>
    </section>
  </div>
</template>

<style scoped lang="scss">
p {
  margin: 0 0 0.3rem;
  line-height: 1.4;
}

.words {
  padding: 0;
}

.method {
  padding: 0;

  li {
    grid-template-columns: 1.5rem 1fr;
  }
}
</style>
