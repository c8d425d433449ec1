<script setup lang="ts">
import { computed } from "vue";
import { readAdjustments, useApiQuery, useFacts, type Lesson, type LessonStage } from "@/api";
import { DialFace } from "@/dial";
import { dayWords } from "@/words";
import { handsOf } from "./handsOf";

/** A lesson on one page, for who gives it from paper and has never seen it: what to have ready, say, ask, look for and collect. */
const props = defineProps<{
  lesson: Lesson;
  whose: string;
  children: readonly { id: number; name: string }[];
}>();

const facts = useFacts();
const rung = computed(() => facts.rung(props.lesson.step));
const opening = computed(() => rung.value.openings[props.lesson.opening % rung.value.openings.length]);
const { data: set } = useApiQuery(readAdjustments, () => [props.lesson.class_id], {
  select: (found) => found.children,
});
/** What is set for single children, by name: who gives the lesson has to know. */
const adjusted = computed(() =>
  props.children.flatMap((child) => {
    const found = set.value?.find((paper) => paper.child_id === child.id);
    return found?.names.length ? `${child.name}: ${found.names.join("; ")}.` : [];
  }),
);
const clocks = (stage: LessonStage): LessonStage["items"] => stage.items.filter((item) => item.time);
const others = (stage: LessonStage): string =>
  [...new Set(stage.items.filter((item) => !item.time).map((item) => facts.kindName(item.kind)))].join(". ");
const hinge = (stage: LessonStage): Lesson["hinges"][number] | undefined =>
  props.lesson.hinges.find((hinge) => hinge.before === stage.id);
/** From so many clocks on they are drawn smaller: the lesson stays on one page. */
const MANY = 40;
const all = computed(() => props.lesson.stages.flatMap(clocks).length);
const collects = computed(() => props.lesson.stages.some((stage) => stage.id === "exit"));
</script>

<template>
  <section class="d-none d-print-block" :class="{ many: all > MANY }" aria-hidden="true">
    <h1>{{ facts.lessonTitle(lesson) }}</h1>
    <p class="quiet">
      {{ dayWords(lesson.day) }}, {{ lesson.minutes }} minutes{{ whose ? `, for ${whose}` : "" }}
    </p>
    <p v-if="lesson.needs.length">
      <b>Have ready:</b>
      {{ lesson.needs.join("; ") }}.
    </p>
    <p v-if="adjusted.length">
      <b>For single children.</b>
      {{ adjusted.join(" ") }}
    </p>
    <p>
      <b>On the board:</b>
      {{ rung.words.join(", ") }}.
    </p>
    <p>
      <b>Begin:</b>
      {{ opening }}
    </p>
    <div v-for="stage in lesson.stages" :key="stage.id" class="stage">
      <h2>{{ stage.name }}, {{ stage.minutes }} min: {{ facts.kindName(stage.activity) }}</h2>
      <p v-if="hinge(stage)">
        <b>First ask all:</b>
        {{ hinge(stage)?.time }} ({{ hinge(stage)?.answer }}).
        <template v-for="wrong in hinge(stage)?.wrong" :key="wrong.misreading">
          If they say
          <b>{{ wrong.answer }}:</b>
          {{ facts.misreading(wrong.misreading).move }}
        </template>
      </p>
      <p>
        <template v-if="others(stage)">{{ others(stage) }}.</template>
        “{{ facts.kind(stage.activity)?.say }}”
        <i>{{ facts.kind(stage.activity)?.look_for }}</i>
      </p>
      <ul class="list-unstyled m-0">
        <li v-for="(item, at) in clocks(stage)" :key="at">
          <DialFace
            class="small-dial"
            :facts="facts.of(item.dial ?? item.time ?? '')"
            :hands="handsOf(item.sees)"
            detail="small"
          />
          {{ item.prompt ? `${item.prompt}: ${item.answer}` : (item.answer ?? item.time) }}
        </li>
      </ul>
    </div>
    <div class="two">
      <div>
        <h2>To talk about</h2>
        <p v-for="question in rung.questions" :key="question">{{ question }}</p>
      </div>
      <div>
        <h2>In these words</h2>
        <p v-for="line in lesson.method_lines" :key="line">{{ line }}</p>
      </div>
    </div>
    <p v-if="collects">
      <b>Collect:</b>
      the exit checks, with a name on each.
    </p>
  </section>
</template>

<style scoped lang="scss">
@media print {
  h1 {
    margin: 0;
    font-size: 17pt;
  }

  h2 {
    margin: 2mm 0 0.5mm;
    font-size: 11pt;
  }

  p,
  li {
    margin: 0;
    font-size: 9.5pt;
    line-height: 1.25;
  }

  ul {
    display: grid;
    grid-template-columns: repeat(6, minmax(0, 1fr));
    gap: 0.5mm 2mm;
    margin-top: 0.5mm;
  }

  .stage {
    break-inside: avoid;
  }

  .stage li {
    display: flex;
    align-items: center;
    gap: 1mm;
    line-height: 1.1;
  }

  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 4mm;
  }

  .small-dial {
    flex: none;
    width: 9mm;
  }

  .many {
    p,
    li {
      font-size: 8.5pt;
    }

    .small-dial {
      width: 7mm;
    }
  }
}
</style>
