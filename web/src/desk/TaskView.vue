<script setup lang="ts">
import { useEventListener, useTimeout } from "@vueuse/core";
import { computed, nextTick, onMounted, ref, watch, type Component } from "vue";
import type { AnswerFeedback, DeskTurn } from "@/api/client";
import { handsIn } from "@/dial/useLooseHands";
import ChoicePad from "./ChoicePad.vue";
import ClockChoice from "./ClockChoice.vue";
import DeskButton from "./DeskButton.vue";
import DigitPad from "./DigitPad.vue";
import HelpSteps from "./HelpSteps.vue";
import LooksAt from "./LooksAt.vue";
import MistakeEntry from "./MistakeEntry.vue";
import PairsEntry from "./PairsEntry.vue";
import SetDial from "./SetDial.vue";
import WordStrips from "./WordStrips.vue";
import type { useVoice } from "@/voice/useVoice";

/** One task: what is looked at, the way of answering, and what was made of it. */
const props = defineProps<{
  turn: DeskTurn;
  feedback: AnswerFeedback | null;
  /** The answer is kept on the device; nothing can be said of it yet. */
  kept: boolean;
  busy: boolean;
  voice: ReturnType<typeof useVoice>;
  /** Whether the child may be shown how it is done. */
  canShow: boolean;
}>();
const emit = defineEmits<{ answer: [texts: string[]]; show: []; next: [] }>();

const ENTRIES: Readonly<Record<DeskTurn["entry"], Component>> = {
  words: WordStrips,
  count: WordStrips,
  digits: DigitPad,
  hands: SetDial,
  clocks: ClockChoice,
  pairs: PairsEntry,
  hour: ChoicePad,
  minutes: ChoicePad,
  halves: ChoicePad,
  choice: ChoicePad,
  mistake: MistakeEntry,
};

/** Where the step is new, another clock is shown first, and then the task is half done. */
const showing = ref(Boolean(props.turn.example) && !props.feedback && !props.kept);
const half = props.turn.tried ? null : (props.turn.items[0]?.half ?? null);
const begun = half?.digits ?? "";
const texts = ref<string[]>(props.turn.items.map(() => begun));
const forward = ref<InstanceType<typeof DeskButton>>();
const heading = ref<HTMLElement>();
const entry = ref<{ type?: (event: KeyboardEvent) => boolean }>();
const over = computed(() => props.kept || Boolean(props.feedback?.done));
const help = computed(() => (props.feedback?.done ? props.feedback.help : null));
/** What was sent last: the same again is no second try. */
const sent = ref("");
const changed = computed(() => JSON.stringify(texts.value) !== sent.value);
const ready = computed(() => changed.value && texts.value.every((text) => text !== "" && text !== begun));
const FINISH = "I have started. You finish it.";
/** A finger that comes down twice means once: milliseconds in which a second press is nothing (judgement). */
const TWICE = 400;
const { ready: calm, start: calmDown } = useTimeout(TWICE, { controls: true, immediate: false });
function once(act: () => void): void {
  if (!calm.value) return;
  calmDown();
  act();
}
/** Nothing is left to do but to go on. */
const goForward = (): void => void nextTick(() => (forward.value?.$el as HTMLElement | undefined)?.focus());
const rightAll = computed(() => props.feedback?.results.every((result) => result.right) ?? false);
const tone = computed(() => {
  if (props.kept) return "kept";
  if (!props.feedback || props.feedback.results.some((result) => result.right === null)) return "untold";
  return rightAll.value ? "right" : "again";
});
const sentence = computed(() => {
  if (props.kept) return "Saved. We'll check it when we're connected.";
  return help.value ? "" : (props.feedback?.sentence ?? "");
});

function send(): void {
  if (!ready.value || props.busy || over.value) return;
  once(() => {
    sent.value = JSON.stringify(texts.value);
    emit("answer", texts.value);
  });
}

/** Keys that no part of the page has taken: typed digits, Backspace, Enter. */
function press(event: KeyboardEvent): void {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || over.value || showing.value)
    return;
  if (event.key === "Enter" && !(event.target instanceof HTMLButtonElement)) {
    event.preventDefault();
    send();
  } else if (entry.value?.type?.(event)) event.preventDefault();
}

/** A second try begins anew, but hands stay where they were. */
watch(
  () => props.feedback,
  (feedback) => {
    if (feedback && !feedback.done && props.turn.entry !== "hands")
      texts.value = props.turn.items.map(() => "");
    if (sentence.value) props.voice.say(sentence.value);
    if (over.value) goForward();
  },
);
watch(() => props.kept, goForward);
/** Words that are chosen are heard as they come together. */
const SPOKEN: readonly DeskTurn["entry"][] = [
  "words",
  "count",
  "hour",
  "minutes",
  "halves",
  "choice",
  "pairs",
];
watch(texts, (now, before) => {
  const text = now.find((words, at) => words && words !== before[at]);
  if (text && SPOKEN.includes(props.turn.entry)) props.voice.say(text);
});
watch(calm, (now) => now && over.value && goForward());
useEventListener(document, "keydown", press);
function ask(): void {
  // The next Tab leads to the answer, and not to the way out.
  heading.value?.focus({ preventScroll: true });
  const item = props.turn.items.length === 1 ? props.turn.items[0] : undefined;
  const said = item?.said ? `Somebody said: ${item.said}.` : "";
  const offered =
    props.turn.entry === "choice" ? props.turn.cards : (item?.options.map((option) => option.name) ?? []);
  const choices = offered.map((words) => `${words}.`);
  props.voice.say(said, half ? FINISH : "", props.turn.ask, item?.shown ?? "", ...choices);
}
onMounted(() => !showing.value && ask());
function begin(): void {
  showing.value = false;
  void nextTick(ask);
}
</script>

<template>
  <HelpSteps
    v-if="help"
    :help="help"
    :sign="turn.sign"
    :voice="voice"
    :from="['hands', 'clocks'].includes(turn.entry) ? handsIn(texts[0] ?? '') : undefined"
    @next="emit('next')"
  />
  <HelpSteps
    v-else-if="showing && turn.example"
    :help="turn.example"
    :sign="turn.sign"
    :voice="voice"
    first
    @next="begin"
  />
  <main v-else class="task flex-1 min-h-0 d-grid row-gap-2 column-gap-125" :class="turn.entry">
    <h1 ref="heading" class="ask m-0 text-center" tabindex="-1">
      <span v-if="half && !turn.tried && !feedback" class="finish tone-quiet">{{ FINISH }}</span>
      {{ turn.ask }}
    </h1>
    <LooksAt v-if="turn.entry !== 'pairs'" class="looks" :turn="turn" />
    <section class="answer min-h-0 d-grid" :aria-label="over ? 'Your answer' : 'Answer'">
      <component
        :is="ENTRIES[turn.entry]"
        ref="entry"
        v-model="texts"
        class="entry"
        :turn="turn"
        :over="over"
      />
      <p
        class="told d-flex align-items-center justify-content-center gap-07 m-0 lh-130"
        :class="[tone, { said: sentence, 'tone-quiet': tone === 'untold' }]"
        role="status"
      >
        <svg
          v-if="sentence && tone !== 'untold'"
          viewBox="0 0 24 24"
          width="28"
          height="28"
          aria-hidden="true"
        >
          <path v-if="tone === 'right'" d="m5 13 5 5L20 6" />
          <path v-else-if="tone === 'again'" d="M5 11a7.5 7.5 0 1 1 2 6M5 4v7h7" />
          <path v-else d="M5 4h14v16H5ZM9 4v6h6V4" />
        </svg>
        <span>{{ sentence }}</span>
      </p>
    </section>
    <footer class="foot d-flex align-items-center justify-content-end gap-3 justify-self-center">
      <DeskButton v-if="over" ref="forward" class="go" :disabled="!calm" @click="once(() => emit('next'))">
        Next
      </DeskButton>
      <template v-else>
        <DeskButton
          v-if="canShow && !turn.tried"
          class="show-me"
          :disabled="busy || !calm"
          @click="once(() => emit('show'))"
        >
          Show me
        </DeskButton>
        <DeskButton class="go" :disabled="!ready || busy || !calm" @click="send">
          {{ busy ? "…" : turn.tried ? "Try again" : "Done" }}
        </DeskButton>
      </template>
    </footer>
  </main>
</template>

<style scoped lang="scss">
.task {
  padding: 0.6rem max(1rem, env(safe-area-inset-right)) max(0.8rem, env(safe-area-inset-bottom))
    max(1rem, env(safe-area-inset-left));
  grid-template: "ask" auto "looks" minmax(10rem, 1fr) "answer" auto "foot" auto / minmax(0, 1fr);

  &.hands,
  &.clocks {
    grid-template-rows: auto auto minmax(0, 1fr) auto;
  }

  &.pairs {
    grid-template: "ask" auto "answer" minmax(0, 1fr) "foot" auto / minmax(0, 1fr);
  }
}

.ask {
  grid-area: ask;
  font-size: clamp(1.25rem, 3.2vmin + 0.5rem, 1.9rem);
}

.finish {
  display: block;
  font-size: 0.8em;
}

.looks {
  grid-area: looks;
  min-height: 0;
}

.answer {
  grid-area: answer;
  grid-template-rows: minmax(0, 1fr) auto;
}

.foot {
  grid-area: foot;
  min-height: 4.2rem;
  width: min(70rem, 100%);
}

.told {
  min-height: 2.8rem;
  font-size: clamp(1.05rem, 1.2vw + 0.7rem, 1.3rem);

  svg {
    flex: none;
    fill: none;
    stroke: currentColor;
    stroke-width: 3;
    stroke-linecap: round;
    stroke-linejoin: round;
  }

  &.right {
    color: var(--v-right);
    font-weight: 700;
  }

  &.again svg {
    color: var(--v-slip);
  }
}

@media (max-width: 34rem) {
  .foot {
    align-items: stretch;
    gap: 0.4rem;
  }

  .foot .go {
    flex: 1;
  }
}

/* Small phones: nothing keeps room for what is not said. */
@media (max-width: 34rem) and (max-height: 42rem) {
  .task {
    gap: 0.25rem;
    padding-block: 0.2rem 0.4rem;
  }

  .foot {
    min-height: 0;
  }

  .told:not(.said) {
    display: none;
  }

  .go {
    min-height: 2.9rem;
    padding-block: 0.2rem;
  }
}

@media (orientation: landscape) {
  .task {
    grid-template: "looks ask" auto "looks answer" minmax(0, 1fr) "looks foot" auto / minmax(0, 1fr) minmax(
        0,
        1fr
      );
    gap: 0.5rem 2rem;

    &.hands,
    &.clocks {
      grid-template:
        "answer ask" auto "answer looks" minmax(0, 1fr) "answer foot" auto / minmax(0, 1.1fr)
        minmax(0, 1fr);
    }

    &.pairs {
      grid-template: "ask" auto "answer" minmax(0, 1fr) "foot" auto / minmax(0, 1fr);
    }
  }

  .ask {
    align-self: end;
  }
}

/* Where there is room, what is asked, the answer and its button are one thing beside the clock. */
@media (orientation: landscape) and (min-height: 40rem) {
  .task:not(.hands, .clocks, .pairs) {
    grid-template:
      "looks ask" minmax(3.5rem, 1fr) "looks answer" minmax(0, auto) "looks foot" minmax(5rem, 1fr) / minmax(
        0,
        1fr
      )
      minmax(0, 1fr);

    .ask {
      font-size: 2.3rem;
      padding-bottom: 1.2rem;
    }

    .foot {
      align-items: flex-start;
      justify-content: center;
    }

    .told {
      font-size: 1.5rem;
      min-height: 3.4rem;
    }
  }
}

@media (orientation: landscape) and (max-height: 30rem) {
  .task {
    gap: 0.2rem 1rem;
    padding-block: 0.2rem 0.4rem;

    &:not(.hands, .clocks, .pairs) {
      grid-template:
        "ask answer" auto "looks answer" minmax(0, 1fr) "looks foot" auto / minmax(0, 0.75fr)
        minmax(0, 1.25fr);
    }
  }

  .ask {
    font-size: 1.15rem;
  }

  .foot {
    min-height: 3rem;
  }

  .told {
    font-size: 1rem;
  }

  .go {
    min-height: 2.75rem;
    font-size: 1.15rem;
  }
}
</style>
