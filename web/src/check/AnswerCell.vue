<script setup lang="ts">
import { autoUpdate, flip, offset, shift, useFloating } from "@floating-ui/vue";
import { computed, nextTick, ref } from "vue";
import { useFacts, type Item, type Piece } from "@/api";
import { DialFace, handsIn } from "@/dial";
import { VerdictMark, verdictWords, VERDICTS } from "@/shared";
import type { TypedAnswers } from "./useTypedAnswers";
import DrawingPicker from "./DrawingPicker.vue";

/** One answer: as typed while the cell is held, as it was read once it is left. */
const props = defineProps<{
  place: string;
  label: string;
  answers: TypedAnswers;
  /** What may have been drawn, where the answer is a drawing: typed by its number. */
  drawings: Item["drawings"];
  /** The right answer, where children have clocks of their own. */
  right?: string;
  /** The piece of paper that it was read from. */
  piece?: Piece;
}>();
const emit = defineEmits<{ next: [by: number]; down: [by: number] }>();

const facts = useFacts();
const held = ref(false);
const cell = ref<HTMLElement>();
const panel = ref<HTMLElement>();
/** What stands beside a held cell goes to where there is room, and out of what scrolls. */
const { floatingStyles } = useFloating(cell, panel, {
  strategy: "fixed",
  placement: props.drawings.length ? "bottom-start" : "top-start",
  middleware: [offset(4), flip(), shift({ padding: 8 })],
  whileElementsMounted: autoUpdate,
});
const input = ref<HTMLInputElement>();
const stored = computed(() => props.answers.stored.get(props.place));
const wrong = computed(() => props.answers.wrong.get(props.place));
/** Who read it: the reader alone, or a person. */
const reader = computed(() =>
  props.piece?.alone && stored.value?.id === props.piece.answer_uuid ? "Read by Vantick" : "Read by you",
);
const waits = computed(() => props.answers.unsent.value.has(props.place));
const judged = computed(() =>
  waits.value || wrong.value || stored.value?.verdict === "blank" ? undefined : stored.value,
);
const hands = computed(() => judged.value && handsIn(judged.value.answer));
/** What hands that were drawn show, in the words of the pictures. */
const drawn = computed(() => {
  const answer = judged.value;
  if (!answer || !hands.value) return undefined;
  const same = props.drawings.find((drawing) => drawing.answer === answer.answer);
  if (same) return same.name;
  const [cause] = answer.misreadings;
  if (cause) return facts.misreading(cause).name;
  return VERDICTS[answer.verdict === "unexplained" ? "misread" : answer.verdict].word;
});
const text = computed(() => {
  const typed = props.answers.textAt(props.place);
  if (drawn.value && handsIn(typed)) return drawn.value;
  return held.value || wrong.value ? typed : judged.value?.read_short || typed;
});
/** All of what was read, where the cell is too narrow for it. */
const title = computed(() => {
  const answer = judged.value;
  if (wrong.value || !answer || held.value) return wrong.value;
  return [...(drawn.value ? [] : [`${answer.answer}: ${answer.read_as}`]), verdictText.value].join(", ");
});
const tone = computed(() => (wrong.value ? "misread" : judged.value && VERDICTS[judged.value.verdict].tone));
const verdictText = computed(() => wrong.value ?? (judged.value && verdictWords(judged.value)));

async function hold(): Promise<void> {
  held.value = true;
  await nextTick();
  input.value?.select();
}

/** A number stands for a picture of the drawing. */
function commit(): void {
  const typed = props.answers.textAt(props.place).trim();
  const drawn = /^\d$/.test(typed) ? props.drawings[Number(typed) - 1] : undefined;
  if (drawn) props.answers.type(props.place, drawn.answer);
  props.answers.commit(props.place);
}

function pick(answer: string): void {
  props.answers.type(props.place, answer);
  emit("next", 1);
}

function leave(): void {
  held.value = false;
  commit();
}

function press(event: KeyboardEvent): void {
  if (event.key === "Enter") emit("next", event.shiftKey ? -1 : 1);
  else if (event.key === "ArrowDown") emit("down", 1);
  else if (event.key === "ArrowUp") emit("down", -1);
  else if (event.key === "!") {
    event.preventDefault();
    void props.answers.rule(props.place);
    return;
  } else if (event.key === "z" && (event.ctrlKey || event.metaKey)) {
    event.preventDefault();
    props.answers.undo();
    return;
  } else if (event.key === "Escape") {
    props.answers.drop(props.place);
    props.answers.wrong.delete(props.place);
    return;
  } else return;
  commit();
  event.preventDefault();
}
</script>

<template>
  <div ref="cell" class="cell position-relative" :class="[tone, { held }]">
    <VerdictMark v-if="judged && !held" :verdict="judged.verdict" :half="judged.half" quiet class="shape" />
    <i v-else-if="waits && !held" class="bi bi-hourglass-split shape quiet" aria-hidden="true"></i>
    <DialFace v-if="hands && !held" class="hands position-absolute pe-none" :facts="hands" detail="small" />
    <!-- By hand: one of hundreds in a grid with keys of its own. -->
    <input
      ref="input"
      class="w-100 text-ellipsis"
      :value="text"
      :aria-label="label"
      :aria-description="verdictText"
      :aria-invalid="wrong ? true : undefined"
      :title="title"
      :data-verdict="judged?.verdict"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      enterkeyhint="next"
      @focus="hold"
      @blur="leave"
      @input="answers.type(place, ($event.target as HTMLInputElement).value)"
      @keydown="press"
    />
    <i
      v-if="judged && judged.verdict !== judged.first_verdict && !held"
      class="bi bi-person-check ruled position-absolute pe-none"
      title="Marked by you"
      aria-hidden="true"
    ></i>
    <div
      v-if="held && (piece || drawings.length)"
      ref="panel"
      class="panel d-flex flex-wrap flex-sm-nowrap gap-2 p-2 on-card"
      :style="floatingStyles"
      @mousedown.prevent
    >
      <figure v-if="piece" class="piece m-0">
        <img class="d-block" :src="`/api/pieces/${piece.id}/picture`" :alt="`On paper: ${label}`" />
        <figcaption v-if="stored" class="quiet">{{ reader }}</figcaption>
      </figure>
      <DrawingPicker v-if="drawings.length" :drawings="drawings" @pick="pick" />
    </div>
    <p
      v-if="held && right"
      class="own-right position-absolute text-nowrap top-100 start-0 mt-015 mb-0 px-06 py-01"
    >
      {{ right }}
    </p>
    <p
      v-if="wrong"
      class="wrong position-absolute top-100 start-0 mt-02 mb-0 px-07 py-04 rounded-05"
      role="alert"
    >
      {{ wrong }}
    </p>
  </div>
</template>

<style scoped lang="scss">
.cell {
  input {
    min-width: 5rem;
    scroll-margin: 3rem 0 7rem;
    height: 2.1rem;
    padding: 0 0.2rem 0 0.5rem;
    border: 1px solid var(--v-line);
    border-radius: 0.5rem;
    background: var(--v-card);
    font: inherit;
    color: var(--v-ink);
    font-size: 0.93rem;
  }

  .panel {
    z-index: 6;
    max-width: calc(100vw - 1rem);
    border: 1px solid var(--v-edge);
    border-radius: 0.8rem;
  }

  .piece img {
    max-width: 16rem;
    max-height: 9rem;
  }

  .hands {
    left: 1.6rem;
    top: 0.25rem;
    width: 1.6rem;

    & + input {
      padding-left: 3.5rem;
    }
  }

  .shape {
    position: absolute;
    left: 0.45rem;
    top: 0.25rem;
    pointer-events: none;
    font-size: 0.85rem;
    line-height: 1.6rem;

    & + input {
      padding-left: 1.5rem;
    }
  }

  input:focus {
    outline: 2px solid var(--v-ink);
    outline-offset: 0;
    border-color: var(--v-ink);
  }

  &.misread:not(.held) input {
    background: var(--v-misread-tint);
    border-color: #dfb4ae;
  }

  &.slip:not(.held) input {
    background: var(--v-slip-tint);
    border-color: #dccb97;
  }
}

.ruled {
  right: 0.35rem;
  top: 0.25rem;
}

.own-right {
  z-index: 4;
  border-radius: 0.5rem;
  background: var(--v-ink);
  color: var(--v-card);
  font-size: 0.85rem;
}

.wrong {
  z-index: 5;
  width: 16rem;
  background: var(--v-misread);
  color: var(--v-card);
  font-size: 0.9rem;
  line-height: 1.25;
}
</style>
