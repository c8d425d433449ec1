<script setup lang="ts">
import { useFacts, type Tomorrow } from "@/api";
import { dayWords } from "@/words";

/** The lesson that comes next, as Home has it, and the way to all that belongs to it. */
defineProps<{ next: NonNullable<Tomorrow["next"]> }>();

const facts = useFacts();
</script>

<template>
  <p class="d-flex flex-wrap gap-3 align-items-baseline">
    <span>
      Next lesson:
      <strong>{{ facts.lessonTitle(next) }}, {{ dayWords(next.day) }}</strong>
    </span>
    <RouterLink :to="{ name: 'tomorrow' }">Prepare lesson</RouterLink>
  </p>
</template>
