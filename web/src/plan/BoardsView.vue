<script setup lang="ts">
import { computed, ref } from "vue";
import { readBoards, readLesson, useApiQuery, useFacts } from "@/api";
import { DialFace } from "@/dial";
import { useRouteNumber } from "@/route";
import { useOwnClass } from "@/school";
import { BoardsPanel } from "@/shared";
import { clocksToAsk, type Clock } from "./boards";
import { handsOf } from "./handsOf";

/** For a teacher's phone while the lesson is on the wall: which answers come, and what to do then. */
const id = useRouteNumber("id");
const facts = useFacts();
const { data: lesson, errorMessage } = useApiQuery(readLesson, () => id.value && ([id.value] as const));
const { data: shown } = useApiQuery(readBoards, () => id.value && [id.value], {
  select: (found) => found.boards,
});
useOwnClass(() => lesson.value?.class_id);
const chosen = ref("");
/** Beside the lesson's own, one that was said to come next. */
const extra = ref<Clock | null>(null);
const clocks = computed<Clock[]>(() => [
  ...(extra.value ? [extra.value] : []),
  ...(lesson.value ? clocksToAsk(lesson.value) : []),
]);
const asked = computed(() => clocks.value.find((clock) => clock.time === chosen.value));

function askNext(dial: string): void {
  if (asked.value) extra.value = { ...asked.value, time: dial, dial };
  chosen.value = dial;
}
</script>

<template>
  <div class="page">
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <template v-else-if="lesson">
      <div class="page-head mb-2">
        <h1>Boards</h1>
        <span class="quiet">{{ facts.lessonTitle(lesson) }}</span>
        <div class="actions">
          <BButton variant="link" :to="{ name: 'lesson', params: { id: lesson.id } }">Back to lesson</BButton>
        </div>
      </div>
      <p v-if="!clocks.length" class="quiet">This lesson has no clocks to ask.</p>
      <template v-else>
        <BoardsPanel
          v-if="asked"
          class="panel mb-3"
          :class-id="lesson.class_id"
          :lesson-id="lesson.id"
          :asked="{ task: asked.task, time: asked.time }"
          @ask="askNext"
          @close="chosen = ''"
        />
        <p class="quiet mb-2">{{ asked ? "Another clock" : "Which clock is on the wall?" }}</p>
        <ul class="clocks list-unstyled d-flex flex-wrap gap-2 p-0">
          <li v-for="clock in clocks" :key="clock.time">
            <BButton
              variant="bare"
              class="clock"
              :aria-pressed="chosen === clock.time"
              @click="chosen = clock.time"
            >
              <DialFace
                class="small-dial"
                :facts="facts.of(clock.dial)"
                :hands="handsOf(clock.sees)"
                detail="small"
              />
              {{ clock.time }}
            </BButton>
          </li>
        </ul>
      </template>
      <template v-if="shown?.length">
        <h2 class="eyebrow mt-4">What the class showed</h2>
        <p v-for="board in shown" :key="board.id" class="mb-1">
          <b>{{ board.time }}:</b>
          {{ board.amounts.map((part) => `${part.answer}: ${part.amount}`).join(", ") || "nothing" }}.
        </p>
      </template>
    </template>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
.panel {
  width: min(26rem, 100%);
  font-size: 1rem;
}

.clock {
  min-height: 2.75rem;
  padding: 0.2rem 0.6rem;
  border: 1px solid var(--v-line);
  border-radius: 0.6rem;
  background: var(--v-card);

  &[aria-pressed="true"] {
    border-color: var(--v-hour);
    background: var(--v-hour-tint);
  }
}

.small-dial {
  width: 2.2rem;
}
</style>
