<script setup lang="ts">
import { computed, nextTick, ref, watch } from "vue";
import type { DeskTurn } from "@/api/client";
import DeskButton from "./DeskButton.vue";
import { rovingFocus } from "./rovingFocus";

/**
 * A time as a sentence with places in it: how many, past or to, which hour. Each place has its strip of words, and one strip
 * lies open at a time, so that the clock beside it stays large.
 */
type Part = DeskTurn["strips"][number]["part"];
const props = defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
const root = ref<HTMLElement>();
/** What is done already, where the step is new to the child. */
const half = props.turn.tried ? null : (props.turn.items[0]?.half?.words ?? null);
const chosen = ref<Record<Part, string[]>>({ count: half?.count ?? [], side: half?.side ?? [], hour: [] });
const parts = computed(() => props.turn.strips.map((strip) => strip.part));
const at = ref<Part>(half ? "hour" : (props.turn.strips[0]?.part ?? "count"));
const strip = computed(() => props.turn.strips.find((strip) => strip.part === at.value));
/** What core says of words: said behind the hour, followed by another number, following one. */
const afterHour = computed(() => props.turn.strips.flatMap((strip) => strip.after_hour));
const tens = computed(() => props.turn.strips.flatMap((strip) => strip.tens));
const units = computed(() => props.turn.strips.flatMap((strip) => strip.units));
const whole = computed(() => afterHour.value.includes(chosen.value.side[0] ?? ""));
const order = computed<Part[]>(() =>
  (whole.value ? (["hour", "side"] as Part[]) : parts.value).filter((part) => parts.value.includes(part)),
);
const said = computed(() => order.value.flatMap((part) => chosen.value[part]).join(" "));

/** Words that do not lie in two or three rows on a phone. */
const MANY = 14;

/** Words that go together: "twenty three minutes". */
function counted(word: string): string[] {
  const before = chosen.value.count;
  const last = before.at(-1) ?? "";
  if (units.value.includes(word) && before.length)
    return units.value.includes(last) ? before : [...before, word];
  return before.length === 1 && tens.value.includes(last) && !tens.value.includes(word)
    ? [...before, word]
    : [word];
}

function take(word: string): void {
  const part = at.value;
  chosen.value = { ...chosen.value, [part]: part === "count" ? counted(word) : [word] };
  // A number that goes on, or has its unit yet to come, leaves the strip open.
  const goesOn = part === "count" && (tens.value.includes(word) || needsUnit(word));
  if (!goesOn) open(next());
}

const needsUnit = (word: string): boolean => !units.value.includes(word) && units.value.length > 0;
const next = (): Part => order.value.find((part) => !chosen.value[part].length) ?? at.value;

function open(part: Part): void {
  at.value = part;
  void nextTick(() => {
    if (root.value?.contains(document.activeElement) || document.activeElement === document.body)
      root.value?.querySelector<HTMLElement>(".choices button")?.focus({ preventScroll: true });
  });
}

/** The last word that was put in is taken out, and its strip lies open again. */
function takeBack(): void {
  const part = [...order.value].reverse().find((name) => chosen.value[name].length);
  if (!part) return;
  chosen.value = { ...chosen.value, [part]: chosen.value[part].slice(0, -1) };
  open(part);
}

/** Letters typed on a keyboard go to the words that begin with them. */
const typed = ref("");
function type(event: KeyboardEvent): boolean {
  if (event.key === "Backspace") takeBack();
  else if (/^[a-z]$/i.test(event.key)) find(event.key.toLowerCase());
  else return false;
  return true;
}

function find(letter: string): void {
  const words = strip.value?.words ?? [];
  const so = (typed.value + letter).trim();
  const begun = words.filter((word) => word.startsWith(so));
  typed.value = begun.length ? so : letter;
  const found = words.filter((word) => word.startsWith(typed.value));
  if (found.length === 1 && found[0]) {
    typed.value = "";
    take(found[0]);
  }
}

watch(said, (text) => {
  if (text !== texts.value[0]) texts.value = [text];
});
/** Emptied from outside: a second try begins anew. */
watch(texts, ([text]) => {
  if (text || !said.value) return;
  chosen.value = { count: [], side: [], hour: [] };
  open(parts.value[0] ?? "count");
});
const labelOf = (part: Part): string => props.turn.strips.find((strip) => strip.part === part)?.label ?? part;

defineExpose({ type });
</script>

<template>
  <div ref="root" class="sentence-entry d-flex flex-column justify-content-center min-h-0">
    <p
      class="sentence d-flex flex-wrap justify-content-center row-gap-03 column-gap-09 m-0"
      :class="{ over }"
      aria-live="polite"
    >
      <span class="visually-hidden">Your answer: {{ said }}</span>
      <DeskButton
        v-for="part in order"
        :key="part"
        class="place d-grid px-04 py-0 text-center"
        :class="{ open: part === at && !over, filled: chosen[part].length }"
        :aria-pressed="part === at"
        :disabled="over"
        :aria-label="`${chosen[part].join(' ') || 'empty'}, ${labelOf(part)}`"
        @click="open(part)"
      >
        <span class="word">{{ chosen[part].join(" ") || "\u00a0" }}</span>
        {{ " " }}
        <span class="label tone-quiet fs-85 lh-120">{{ labelOf(part) }}</span>
      </DeskButton>
    </p>
    <div
      v-if="!over && strip"
      class="strip d-flex align-items-stretch mw-100 mx-auto my-0 on-card"
      :class="{ many: strip.words.length > MANY }"
      @keydown="rovingFocus($event, root)"
    >
      <div class="choices d-flex flex-wrap justify-content-center" role="group" :aria-label="strip.label">
        <DeskButton
          v-for="word in strip.words"
          :key="word"
          :class="{ in: chosen[at].includes(word) }"
          @click="take(word)"
        >
          {{ word }}
        </DeskButton>
      </div>
      <DeskButton
        class="back min-h-finger"
        :disabled="!said"
        aria-label="Undo the last word"
        @click="takeBack"
      >
        ⌫
      </DeskButton>
    </div>
  </div>
</template>

<style scoped lang="scss">
.sentence-entry {
  gap: clamp(0.4rem, 2vh, 1.6rem);
}

button {
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  touch-action: manipulation;
  cursor: pointer;
}

.place {
  min-width: 4.2rem;
  min-height: 2.9rem;

  &:disabled {
    color: inherit;
    cursor: default;
  }
}

.word {
  padding: 0 0.3rem;
  border-bottom: 2px dashed var(--v-edge);
  font-size: clamp(1.3rem, 2.4vmin + 0.6rem, 2rem);
  line-height: 1.35;
  white-space: nowrap;

  .filled & {
    border-bottom: 2px solid transparent;
  }

  .open & {
    border-bottom: 3px solid var(--v-minute);
  }
}

.label {
  .over & {
    display: none;
  }
}

/* A strip of paper with the words along it. */
.strip {
  width: fit-content;
  box-shadow: 0 0 0 1px var(--v-line);
}

.choices {
  button {
    flex: 1 0 auto;
    min-width: 2.75rem;
    min-height: clamp(2.75rem, 6.4vh, 3.8rem);
    padding: 0 0.75rem;
    font-size: clamp(1.05rem, 1.1vw + 0.65rem, 1.5rem);
    box-shadow: 1px 1px 0 0 var(--v-line);

    &:hover {
      background: var(--v-shade);
    }

    &.in {
      background: var(--v-past);
    }
  }
}

.back {
  min-width: 2.75rem;
  color: var(--v-quiet);
  font-size: 1.25rem;

  &:disabled {
    opacity: 0.4;
  }
}

@media (max-width: 34rem), (max-height: 30rem) {
  .choices button {
    min-height: 2.75rem;
    padding: 0 0.5rem;
    font-size: 1.02rem;
  }

  .place {
    min-height: 2.75rem;
  }

  .word {
    font-size: 1.2rem;
  }

  .label {
    font-size: 0.75rem;
  }
}

/* On a phone many words lie close, so that the clock keeps its room. */
@media (max-width: 34rem) {
  .strip.many {
    position: relative;
    width: 100%;

    .choices {
      display: grid;
      grid-template-columns: repeat(5, minmax(0, 1fr));
      flex: 1;
    }

    .choices button {
      padding: 0;
      min-width: 0;
      font-size: clamp(0.75rem, 3.5vw, 1rem);
    }

    .back {
      position: absolute;
      right: 0;
      bottom: 0;
      width: 20%;
      height: 2.5rem;
    }
  }
}

@media (max-width: 34rem) and (max-height: 37rem) {
  .sentence-entry {
    gap: 0.2rem;
  }

  .strip.many .choices button {
    min-height: 2.5rem;
  }
}
</style>
