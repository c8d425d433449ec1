<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import { copyLesson, makeLessonStack, newSeed, useApiMutation, useFacts } from "@/api";
import { useUndoKey } from "@/ui";
import { printed, usePrinting } from "@/shared";
import { useClasses, useOwnClass } from "@/school";
import LessonForm from "./LessonForm.vue";
import LessonOnPaper from "./LessonOnPaper.vue";
import LessonNotes from "./LessonNotes.vue";
import LessonStrip from "./LessonStrip.vue";
import StageDetail from "./StageDetail.vue";
import { pinnedOnly, useLesson } from "./useLesson";
import { dayWords, plusDays } from "@/words";

/** A lesson to be settled: its strip follows every change, which is kept at once and can be undone. */
const WEEK = 7;
const route = useRoute();
const router = useRouter();
const facts = useFacts();
const { lesson, refused, busy, canUndo, load, settle, undo, swap, put, pin } = useLesson();
const selected = ref("show");
useOwnClass(() => lesson.value?.class_id);
const { busy: copying, errorMessage, run } = useApiMutation();
const how = usePrinting();

watch(
  () => route.params.id,
  (id) => id && void load(Number(id)),
  { immediate: true },
);

const stage = computed(
  () => lesson.value?.stages.find((stage) => stage.id === selected.value) ?? lesson.value?.stages[0],
);
const classes = useClasses();
/** The children of a group, where it is not for the whole class. */
const whose = computed(() =>
  (classes.current?.children ?? []).filter((child) => lesson.value?.child_ids?.includes(child.id)),
);
/** What no longer fits, by stage. */
const leftOut = computed(() => lesson.value?.stages.filter((stage) => stage.left_out.length > 0) ?? []);
const elsewhere = computed(() =>
  refused.value && !["minutes", "time"].includes(refused.value.field ?? "") ? refused.value.message : "",
);
const all = computed(
  () =>
    lesson.value?.stages.flatMap((stage) => stage.items.flatMap((item) => item.dial ?? [])).join(",") ?? "",
);

function again(): void {
  if (lesson.value) void settle({ seed: newSeed(), kept: pinnedOnly(lesson.value), swapped: [] });
}

const print = (): void => window.print();

/** A window can be opened by a press alone: it is there before the pages are. */
async function printAll(): Promise<void> {
  const page = window.open("", "_blank");
  const done = await run(async () => {
    if (!lesson.value) return;
    const { stack_id: id } = await makeLessonStack(lesson.value.id);
    if (page) page.location.href = printed(`/api/stacks/${id}/stack.pdf`, { sides: how.value.sides });
  });
  if (!done) page?.close();
}

async function copy(): Promise<void> {
  if (!lesson.value || copying.value) return;
  const { id, day } = lesson.value;
  await run(async () => {
    const made = await copyLesson(id, { day: plusDays(day, WEEK), seed: newSeed() });
    await router.push({ name: "lesson", params: { id: made.id } });
  });
}

useUndoKey(undo);
</script>

<template>
  <div class="page">
    <LessonOnPaper
      v-if="lesson"
      :lesson="lesson"
      :whose="whose.map((child) => child.name).join(', ')"
      :children="lesson.child_ids ? whose : (classes.current?.children ?? [])"
    />
    <div v-if="lesson && stage" class="no-print">
      <div class="page-head align-items-center mb-3">
        <h1>{{ facts.lessonTitle(lesson) }}</h1>
        <label class="day">
          <span class="visually-hidden">Day</span>
          <BFormInput
            type="date"
            :model-value="lesson.day"
            @change="settle({ day: ($event.target as HTMLInputElement).value || lesson.day })"
          />
        </label>
        <span class="quiet">{{ dayWords(lesson.day) }}{{ lesson.given_at ? ", taught" : "" }}</span>
        <div class="actions">
          <BButton variant="link" :disabled="!canUndo || busy" @click="undo">
            <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
            Undo
          </BButton>
          <BButton variant="link" :disabled="busy" @click="again">Choose all again</BButton>
          <BButton variant="outline-primary" :disabled="busy || copying" @click="copy">
            Copy to next week
          </BButton>
          <BDropdown variant="outline-primary" :disabled="copying" text="Print">
            <BDropdownItemButton @click="print">Lesson page</BDropdownItemButton>
            <BDropdownItemButton @click="printAll">Everything, in one stack</BDropdownItemButton>
          </BDropdown>
          <BButton variant="outline-primary" :to="{ name: 'show', query: { times: all } }">Show</BButton>
          <BButton variant="outline-primary" :to="{ name: 'boards', params: { id: lesson.id } }">
            Boards
          </BButton>
          <BButton variant="primary" :to="{ name: 'run', params: { id: lesson.id } }">Start lesson</BButton>
        </div>
      </div>
      <p v-if="whose.length" class="quiet">For {{ whose.map((child) => child.name).join(", ") }}.</p>
      <LessonForm :lesson="lesson" :refused="refused" @settle="settle" />
      <p v-if="elsewhere || errorMessage" class="field-error" role="alert">
        {{ elsewhere || errorMessage }}
        <BButton v-if="refused?.field === 'version'" variant="link" @click="load(lesson.id)">Reload</BButton>
      </p>
      <BAlert v-if="leftOut.length" model-value variant="warning" class="left-out">
        Doesn't fit any more:
        <span v-for="part in leftOut" :key="part.id">{{ part.name }} {{ part.left_out.join(", ") }}.</span>
        <BButton v-if="canUndo" variant="link" @click="undo">Undo</BButton>
      </BAlert>
      <p v-if="lesson.carried.length" class="quiet">
        Carried over from last lesson: {{ lesson.carried.join(", ") }}.
      </p>
      <LessonStrip
        :lesson="lesson"
        :selected="stage.id"
        :busy="busy"
        @select="selected = $event"
        @move="settle({ stage_minutes: $event })"
      />
      <div class="abreast d-grid gap-20 mt-125">
        <StageDetail
          :stage="stage"
          :busy="busy"
          :wrong="refused?.field === 'time' ? refused.message : ''"
          @swap="swap"
          @pin="pin"
          @put="put"
          @choose="settle({ activities: { ...lesson.activities, [stage.id]: $event } })"
        />
        <LessonNotes :lesson="lesson" :busy="busy" @opening="settle({ opening: $event })" />
      </div>
    </div>
    <div v-else-if="refused" role="alert">
      <h1>This lesson isn't there</h1>
      <p>{{ refused.message }}</p>
      <RouterLink :to="{ name: 'plan' }">Back to Plan</RouterLink>
    </div>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
.left-out {
  padding: 0.5rem 1rem;

  .btn {
    min-height: 0;
    padding: 0 0.4rem;
  }
}
</style>
