<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { useFacts, type Lesson } from "@/api";
import { linesOf, ReadingSteps, TurnedDial } from "@/dial";
import CountingRound from "./CountingRound.vue";
import type { RunItem } from "./useRun";

/** One item of a lesson in front of the class: a way to begin, a question, a count, a worked example, or a try. */
const props = defineProps<{ item: RunItem; lesson: Lesson }>();
const emit = defineEmits<{ done: [] }>();

const WORKED = ["worked_first", "worked_next", "talked_through"];
/** What has no clock says what it is, but for what is only done. */
const HEADINGS: Readonly<Record<string, string>> = { opening: "Opening", question: "To talk about" };
const facts = useFacts();
const rung = computed(() => facts.rung(props.lesson.step));
const uncovered = ref(0);
const counting = ref<InstanceType<typeof CountingRound>>();
const counts = computed(() => facts.catalogue?.counting.some((round) => round.kind === props.item.kind));

const dial = computed(() => (props.item.dial ? facts.of(props.item.dial) : undefined));
/** Where the dial stands: the item's time until somebody turns it; the reading beside it follows. */
const start = computed(() => facts.placeOf(props.item.dial ?? "") ?? 0);
const place = ref(start.value);
const shown = computed(() => facts.at(place.value));
const turned = computed(() => Boolean(dial.value) && place.value !== start.value);
watch(
  () => props.item,
  () => {
    uncovered.value = 0;
    place.value = start.value;
  },
);
const sees = computed(() => ("sees" in props.item ? props.item.sees : undefined));
const lenses = computed(() => {
  if (sees.value === "hour_hand") return new Set(["hour_alone"]);
  return sees.value === "minute_hand" ? new Set(["minute_alone"]) : new Set<string>();
});
const worked = computed(() => WORKED.includes(props.item.kind) && sees.value === "dial");
const lines = computed(() => (dial.value && worked.value ? linesOf(shown.value, undefined) : []));
const lights = computed(() => (worked.value ? (shown.value.steps[uncovered.value - 1]?.lights ?? []) : []));
/** What one hand alone tells of a turned dial is a part of its talk-through. */
const PARTS: Readonly<Record<string, string>> = { hour_hand: "hour", minute_hand: "minutes" };
const answer = computed(() => {
  if (!turned.value) return "answer" in props.item ? props.item.answer : "";
  const part = PARTS[sees.value ?? ""];
  if (!part) return `${shown.value.usual}, ${shown.value.digital}`;
  const steps = shown.value.steps.filter((step) => step.part === part);
  return steps.map((step) => step.sentence).join(" ");
});
const prompt = computed(() => ("prompt" in props.item ? props.item.prompt : ""));
const question = computed(() => rung.value.questions[uncovered.value % rung.value.questions.length]);

const heading = computed(() => HEADINGS[props.item.kind] ?? "");
const words = computed(() => {
  if (props.item.kind === "opening")
    return rung.value.openings[props.lesson.opening % rung.value.openings.length];
  return props.item.kind === "question" ? question.value : facts.kindName(props.item.kind);
});

/** What comes next of this item: a step of the reading, the answer, another question; then it is done. */
function advance(): void {
  if (counts.value && counting.value?.next()) return;
  const steps = props.item.dial ? Math.max(lines.value.length, 1) : 0;
  const left = props.item.kind === "question" ? rung.value.questions.length - 1 : steps;
  if (uncovered.value < left) uncovered.value += 1;
  else emit("done");
}

function cover(): void {
  uncovered.value = 0;
}

/** Another clock in its place, covered again. */
function show(time: string): void {
  uncovered.value = 0;
  place.value = facts.placeOf(time) ?? start.value;
}

defineExpose({ advance, cover, show });
</script>

<template>
  <CountingRound v-if="counts" ref="counting" :kind="item.kind" />
  <div v-else-if="!dial" class="measure align-self-center mx-auto my-0 px-3 py-0">
    <p v-if="heading" class="eyebrow">{{ heading }}</p>
    <p class="large lh-130 mb-4 text-balance">{{ words }}</p>
    <ul
      v-if="item.kind === 'opening'"
      class="words list-unstyled d-flex flex-wrap gap-2"
      aria-label="Words for the board"
    >
      <li v-for="word in rung.words" :key="word" class="fs-150 px-11 py-02 on-card">{{ word }}</li>
    </ul>
  </div>
  <div v-else class="item abreast d-grid gap-4 h-100 min-h-0">
    <div class="dial-room d-flex justify-content-center align-items-center min-h-0">
      <TurnedDial v-model="place" :lenses="lenses" :lights="lights" />
    </div>
    <ReadingSteps
      v-if="worked"
      class="align-self-center"
      :lines="lines"
      :uncovered="uncovered"
      :open="false"
      :other-ways="[]"
      :others="false"
      last="Next"
      @next="advance"
    />
    <div v-else class="align-self-center try">
      <p class="eyebrow">{{ facts.kindName(item.kind) }}</p>
      <p class="say lh-sm">{{ facts.kind(item.kind)?.say }}</p>
      <p v-if="prompt" class="prompt lh-sm">{{ prompt }}</p>
      <p v-if="uncovered > 0" class="answer fw-bold lh-115 m-0 text-balance" aria-live="polite">
        {{ answer }}
      </p>
      <p v-else class="cover under-paper m-0 rounded-09 tone-quiet">hidden</p>
    </div>
    <BButton v-if="turned" variant="outline-primary" class="back" @click="place = start">
      <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
      Back to the lesson's clock
    </BButton>
  </div>
</template>

<style scoped lang="scss">
.item {
  --abreast: minmax(0, 1fr) minmax(15rem, 27%);
}

.large {
  font-size: clamp(1.9rem, 3.6vw, 4.5rem);
}

.words {
  padding: 0;

  li {
    border-radius: 3rem;
    border: 1px solid var(--v-line);
  }
}

.say {
  font-size: clamp(1.3rem, 1.8vw, 2.4rem);
}

.prompt {
  font-size: clamp(1.5rem, 2vw, 2.6rem);
}

.answer {
  font-size: clamp(2.2rem, 3.6vw, 5rem);
}

.cover {
  padding: 1.4rem;
}

@media (max-width: 60rem) {
  .dial-room {
    height: 60vh;
  }
}
</style>
