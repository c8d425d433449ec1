<script setup lang="ts">
import { useEventListener } from "@vueuse/core";
import { computed, nextTick, onScopeDispose, ref, shallowRef, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import { endLesson, openExit, readLesson, useApiMutation, useFacts, type Lesson } from "@/api";
import { useCovering } from "@/route";
import { useClasses, useOwnClass } from "@/school";
import { BoardsPanel } from "@/shared";
import MethodTicks from "./MethodTicks.vue";
import RunBar from "./RunBar.vue";
import RunEnd from "./RunEnd.vue";
import RunItemView from "./RunItemView.vue";
import RunTogether from "./RunTogether.vue";
import { useRun } from "./useRun";

/** A lesson in front of the class, stage by stage, everything one key away. */
const route = useRoute();
const router = useRouter();
const facts = useFacts();
const classes = useClasses();
const lesson = shallowRef<Lesson | null>(null);
const { busy, errorMessage, run } = useApiMutation();
const ending = ref(false);
useCovering(() => true);
const heading = ref<HTMLElement>();
const method = ref(false);
const boards = ref(false);
/** Another clock on the wall, as the boards asked for it. */
const instead = ref("");
/** The clock on the wall, where a whole class can be asked what it says. */
const asked = computed(() => {
  const now = item.value;
  if (together.value || !now?.time || !("task" in now) || !now.task) return null;
  return { task: now.task, time: instead.value || now.time };
});
const view = ref<InstanceType<typeof RunItemView>>();
const paper = ref<InstanceType<typeof RunTogether>>();
const { stageAt, itemAt, stage, items, item, together, used, notReached, took, next, back, goStage, forget } =
  useRun(String(route.params.id), () => lesson.value);
const clock = computed(() => `${stageAt.value} ${itemAt.value}`);
const own = (): Record<string, string> => classes.current?.conventions ?? {};

useOwnClass(() => lesson.value?.class_id);
/** Whether the page is still there: a lesson that comes after it was left changes no words. */
let here = true;

/** The lesson is given in its own method; other pages speak as the class does. */
const open = (id: number): Promise<boolean> =>
  run(async () => {
    const found = await readLesson(id);
    if (!here) return;
    await facts.speak({ ...own(), ...found.method });
    lesson.value = found;
  });
watch(
  () => route.params.id,
  (id) => id && void open(Number(id)),
  { immediate: true },
);
onScopeDispose(() => {
  here = false;
  void facts.speak(own()).catch(() => undefined);
});

function askInstead(dial: string): void {
  instead.value = dial;
  view.value?.show(dial);
}
watch(clock, () => (instead.value = ""));

function on(): void {
  if (!next()) ending.value = true;
}

/** Keys are the lesson's: after a press on a button they go on from the head of the stage, and not from that button. */
function refocus(): void {
  void nextTick(() => heading.value?.focus({ preventScroll: true }));
}
watch([clock, ending], () => !ending.value && refocus());
watch(
  () => lesson.value?.id,
  () => refocus(),
);

const exit = (page: "slips" | "check"): Promise<boolean> =>
  run(async () => {
    if (lesson.value)
      await router.push({ name: page, params: { id: (await openExit(lesson.value.id)).check_id } });
  });

const keep = (leftOut: string[]): Promise<boolean> =>
  run(async () => {
    if (!lesson.value) return;
    await endLesson(lesson.value.id, { left_out: leftOut, seconds: took.value.slice(-200) });
    forget();
    await router.push({ name: "plan" });
  });

const KEYS: Record<string, () => void> = {
  " ": () => (together.value ? paper.value?.toggle() : view.value?.advance()),
  ArrowRight: on,
  Enter: on,
  ArrowLeft: back,
  PageDown: () => goStage(stageAt.value + 1),
  PageUp: () => goStage(stageAt.value - 1),
  c: () => view.value?.cover(),
  m: () => (method.value = !method.value),
  b: () => (boards.value = !boards.value),
  e: () => (ending.value = true),
  Escape: () => (ending.value ? (ending.value = false) : leave()),
};

function leave(): void {
  void router.push({ name: "lesson", params: { id: String(route.params.id) } });
}

useEventListener(
  "keydown",
  (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || !lesson.value) return;
    const pressed = (event.target as HTMLElement).closest("button, a");
    if (pressed && [" ", "Enter"].includes(event.key)) return;
    if (ending.value && event.key !== "Escape") return;
    const stages = Number(event.key);
    if (stages >= 1 && stages <= lesson.value.stages.length) goStage(stages - 1);
    else if (KEYS[event.key]) KEYS[event.key]?.();
    else return;
    event.preventDefault();
    event.stopPropagation();
  },
  { capture: true },
);
</script>

<template>
  <div class="run d-flex flex-column gap-2 position-fixed inset-0 px-4 pt-06 pb-2 on-paper">
    <template v-if="lesson && stage">
      <h1 ref="heading" class="visually-hidden" tabindex="-1">
        {{ facts.lessonTitle(lesson) }}: {{ stage.name }}
      </h1>
      <header class="d-flex align-items-center gap-3" :inert="ending">
        <BButton variant="bare" class="leave rounded-circle" title="Back to Plan (Esc)" @click="leave">
          <i class="bi bi-x-lg" aria-hidden="true"></i>
          <span class="visually-hidden">Back to Plan</span>
        </BButton>
        <RunBar :lesson="lesson" :stage-at="stageAt" :used="used" @go="goStage" />
      </header>
      <div
        class="stage position-relative min-h-0 d-grid flex-1"
        :class="{ 'with-method': (method || (boards && asked)) && !ending }"
      >
        <RunEnd
          v-if="ending"
          :lesson="lesson"
          :not-reached="notReached"
          :busy="busy"
          :error-message="errorMessage"
          @keep="keep"
          @back="ending = false"
        />
        <RunTogether v-else-if="together" :key="stage.id" ref="paper" :stage="stage">
          <BButton
            variant="outline-primary"
            :to="{ name: 'new-desk', query: { lesson: lesson.id, stage: stage.id } }"
          >
            On devices
          </BButton>
          <template v-if="stage.id === 'exit'">
            <BButton variant="outline-primary" :disabled="busy" @click="exit('slips')">
              Print exit check
            </BButton>
            <BButton variant="outline-primary" :disabled="busy" @click="exit('check')">Enter answers</BButton>
          </template>
        </RunTogether>
        <RunItemView v-else-if="item" :key="clock" ref="view" :item="item" :lesson="lesson" @done="on" />
        <p v-else class="align-self-center text-center">This part is empty. Press → to go on.</p>
        <aside v-if="(method || (boards && asked)) && !ending" class="align-self-center d-grid gap-3">
          <MethodTicks v-if="method" :lines="lesson.method_lines" :clock="clock" />
          <BoardsPanel
            v-if="boards && asked"
            :class-id="lesson.class_id"
            :lesson-id="lesson.id"
            :asked="asked"
            @ask="askInstead"
            @close="boards = false"
          />
        </aside>
      </div>
      <p v-if="errorMessage && !ending" class="field-error" role="alert">{{ errorMessage }}</p>
      <footer
        v-if="!ending"
        class="flats flex-wrap justify-content-center d-flex align-items-center row-gap-01 column-gap-2 tone-quiet"
      >
        <span v-if="!together && items.length > 1" class="quiet">{{ itemAt + 1 }} of {{ items.length }}</span>
        <BButton variant="bare" class="uncover" @click="together ? paper?.toggle() : view?.advance()">
          Show answer
          <kbd class="key" aria-hidden="true">Space</kbd>
        </BButton>
        <BButton variant="bare" @click="back">
          Back
          <kbd class="key" aria-hidden="true">←</kbd>
        </BButton>
        <BButton variant="bare" @click="on">
          On
          <kbd class="key" aria-hidden="true">→</kbd>
        </BButton>
        <BButton
          variant="bare"
          :disabled="stageAt === lesson.stages.length - 1"
          @click="goStage(stageAt + 1)"
        >
          Next part
          <kbd class="key" aria-hidden="true">Page ↓</kbd>
        </BButton>
        <BButton variant="bare" :aria-pressed="method" @click="method = !method">
          Method
          <kbd class="key" aria-hidden="true">M</kbd>
        </BButton>
        <BButton variant="bare" :disabled="!asked" :aria-pressed="boards" @click="boards = !boards">
          Boards
          <kbd class="key" aria-hidden="true">B</kbd>
        </BButton>
        <BButton variant="bare" @click="ending = true">
          End
          <kbd class="key" aria-hidden="true">E</kbd>
        </BButton>
      </footer>
    </template>
    <div v-else-if="errorMessage" class="page" role="alert">
      <h1>This lesson can't be started</h1>
      <p>{{ errorMessage }}</p>
      <RouterLink :to="{ name: 'plan' }">Back to Plan</RouterLink>
    </div>
    <p v-else class="page quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
.run {
  z-index: 40;
}

.leave {
  width: 2.75rem;
  height: 2.75rem;

  &:hover {
    background: var(--v-shade);
  }
}

.stage {
  grid-template-rows: minmax(0, 1fr);
}

.with-method {
  grid-template-columns: minmax(0, 1fr) 20rem;
  gap: 1.25rem;
}

/* On a phone the whole of it is scrolled, and nothing is squeezed; there are no keys to tell. */
@media (max-width: 40rem) {
  .run {
    overflow-y: auto;
  }

  .stage {
    flex: 1 0 auto;
    grid-template-rows: auto;
    grid-template-columns: minmax(0, 1fr);
  }

  kbd {
    display: none;
  }
}
</style>
