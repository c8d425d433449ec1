<script setup lang="ts">
import { useFacts, type Lesson } from "@/api";
import { DialFace } from "@/dial";
import { handsOf } from "./handsOf";

/** One clock for all before children try, and one before they are alone: which wrong answers may come, and what helps at once. */
const props = defineProps<{ lesson: Lesson }>();

const facts = useFacts();
const stageName = (id: string): string =>
  props.lesson.stages.find((stage) => stage.id === id)?.name.toLowerCase() ?? id;
</script>

<template>
  <section v-for="hinge in lesson.hinges" :key="hinge.before">
    <p class="eyebrow">Ask all, before they work {{ stageName(hinge.before) }}</p>
    <div class="hinge d-grid gap-07">
      <DialFace class="dial" :facts="facts.of(hinge.dial)" :hands="handsOf(hinge.sees)" />
      <div>
        <p>
          What time is it?
          <b>{{ hinge.answer }}</b>
        </p>
        <dl class="m-0">
          <template v-for="wrong in hinge.wrong" :key="wrong.misreading">
            <dt>
              {{ wrong.answer }}
              <span class="quiet fw-normal">({{ facts.misreading(wrong.misreading).name }})</span>
            </dt>
            <dd>{{ facts.misreading(wrong.misreading).move }}</dd>
          </template>
        </dl>
      </div>
    </div>
  </section>
</template>

<style scoped lang="scss">
.hinge {
  grid-template-columns: 4.6rem minmax(0, 1fr);
}

p {
  margin: 0 0 0.3rem;
}

dd {
  margin: 0 0 0.4rem;
  line-height: 1.35;
}
</style>
