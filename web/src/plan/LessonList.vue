<script setup lang="ts">
import { useFacts, type LessonSummary } from "@/api";
import { StepDial } from "@/dial";
import { dayWords } from "@/words";
import CalendarDialog from "./term/CalendarDialog.vue";

/** Lessons planned and taught. */
defineProps<{ classId: number; lessons: readonly LessonSummary[]; sought?: boolean }>();
defineEmits<{ copy: [lesson: LessonSummary]; remove: [lesson: LessonSummary] }>();

const facts = useFacts();
</script>

<template>
  <section class="lessons" aria-labelledby="lessons-head">
    <div class="d-flex align-items-baseline justify-content-between">
      <h2 id="lessons-head" class="eyebrow">Lessons</h2>
      <CalendarDialog
        v-if="lessons.length"
        :class-id="classId"
        :file="`/api/classes/${classId}/lessons.ics`"
        variant="link"
        size="sm"
      >
        Add to calendar
      </CalendarDialog>
    </div>
    <p v-if="!lessons.length" class="quiet">
      {{ sought ? "No lessons found." : "No lessons yet. Plan the one above, or choose a step." }}
    </p>
    <ul class="list-unstyled p-0 m-0">
      <li
        v-for="lesson in lessons"
        :key="lesson.id"
        class="d-flex flex-wrap align-items-center row-gap-1 column-gap-3 py-04 border-bottom"
      >
        <StepDial class="row-dial" :step="lesson.step" detail="small" />
        <RouterLink class="what d-grid flex-1 lh-130" :to="{ name: 'lesson', params: { id: lesson.id } }">
          <strong>{{ facts.lessonTitle(lesson) }}</strong>
          <span class="quiet">{{ dayWords(lesson.day) }} · {{ lesson.minutes }} minutes</span>
        </RouterLink>
        <span v-if="lesson.given_at" class="quiet taught">
          <i class="bi bi-check-lg" aria-hidden="true"></i>
          taught
        </span>
        <BButton v-else variant="outline-primary" :to="{ name: 'run', params: { id: lesson.id } }">
          Start lesson
        </BButton>
        <BButton variant="link" @click="$emit('copy', lesson)">Copy to next week</BButton>
        <BButton variant="link" @click="$emit('remove', lesson)">Delete</BButton>
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
.row-dial {
  width: 2.6rem;
}

.what {
  min-width: 12rem;
  text-decoration: none;

  &:hover strong {
    text-decoration: underline;
  }
}
</style>
