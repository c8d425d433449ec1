<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Lesson } from "@/api";
import { DialFace } from "@/dial";
import { dayWords } from "@/words";

/** A lesson on one page, for who gives it from paper: every stage with its minutes, times and answers. */
const props = defineProps<{ lesson: Lesson; whose: string }>();

const facts = useFacts();
const openings = computed(() => facts.rung(props.lesson.step).openings);
const opening = computed(() => openings.value[props.lesson.opening % openings.value.length]);
</script>

<template>
  <section class="d-none d-print-block" aria-hidden="true">
    <h1>{{ facts.rung(lesson.step).name }}</h1>
    <p>{{ dayWords(lesson.day) }}, {{ lesson.minutes }} minutes{{ whose ? `, for ${whose}` : "" }}</p>
    <p>{{ opening }}</p>
    <div v-for="stage in lesson.stages" :key="stage.id" class="stage">
      <h2>{{ stage.name }}, {{ stage.minutes }} min</h2>
      <ul class="list-unstyled m-0">
        <template v-for="(item, at) in stage.items" :key="at">
          <li v-if="item.time">
            <DialFace class="small-dial" :facts="facts.of(item.dial ?? item.time)" detail="small" />
            {{ item.answer ?? item.time }}
          </li>
        </template>
      </ul>
    </div>
    <h2>In these words</h2>
    <ol class="m-0">
      <li v-for="line in lesson.method_lines" :key="line">{{ line }}</li>
    </ol>
  </section>
</template>

<style scoped lang="scss">
@media print {
  h1 {
    font-size: 18pt;
  }

  h2 {
    margin: 3mm 0 1mm;
    font-size: 11pt;
  }

  p,
  li {
    margin: 0;
    font-size: 10pt;
  }

  ul {
    display: grid;
    grid-template-columns: repeat(6, minmax(0, 1fr));
    gap: 1mm 3mm;
  }

  .stage {
    break-inside: avoid;
  }

  .stage li {
    display: flex;
    align-items: center;
    gap: 1.5mm;
    line-height: 1.1;
  }

  .small-dial {
    flex: none;
    width: 9mm;
  }
}
</style>
