<script setup lang="ts">
import { computed } from "vue";
import { readTerm, useApiQuery, useFacts } from "@/api";
import { useClasses } from "@/school";
import { shortDay } from "@/words";

/** The way from the next lesson to the whole term, and how far it is. */
const facts = useFacts();
const classes = useClasses();
const { data } = useApiQuery(readTerm, () => classes.current && [classes.current.id]);
const left = computed(
  () => data.value?.plan?.lessons.filter((lesson) => !lesson.over && lesson.step).length ?? 0,
);
</script>

<template>
  <p v-if="data" class="d-flex flex-wrap gap-3 align-items-baseline">
    <template v-if="data.aim">
      <span>
        {{ facts.rung(data.aim.step).name }} by {{ shortDay(data.aim.day) }}:
        {{ left === 1 ? "1 lesson is" : `${left} lessons are` }} still to come.
      </span>
      <RouterLink :to="{ name: 'term' }">The term</RouterLink>
    </template>
    <template v-else>
      <span>Plan every lesson until the holidays, and see how likely the class is to get there.</span>
      <RouterLink :to="{ name: 'term' }">Plan term</RouterLink>
    </template>
  </p>
</template>
