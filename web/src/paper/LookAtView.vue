<script setup lang="ts">
import { onKeyStroke } from "@vueuse/core";
import { computed, nextTick, ref, watch } from "vue";
import {
  LIMITS,
  listPieces,
  readCheck,
  settlePiece,
  useApiQuery,
  useApiMutation,
  useFacts,
  type Piece,
} from "@/api";
import { DialFace, handsIn, type Loose } from "@/dial";
import { useRouteNumber } from "@/route";
import { useOwnClass } from "@/school";
import AgreeAtOnce from "./AgreeAtOnce.vue";

/** What the reader was not sure of: a piece of paper large, what it may be as keys, or typed; Enter is next. */
const facts = useFacts();
const id = useRouteNumber("id");
const { data: check } = useApiQuery(readCheck, () => id.value && [id.value]);
const {
  data: seen,
  errorMessage,
  reload,
} = useApiQuery(listPieces, () => id.value && [id.value, { waiting: true }], {
  fresh: true,
});
const all = computed(() => seen.value?.pieces);
useOwnClass(() => check.value?.class_id);

/** Fewer are looked at one by one at once (judgement). */
const FEW = 4;
const readSome = computed(() => (all.value ?? []).filter((piece) => piece.seen && piece.kind !== "cause"));
/** Whether all that was read was looked at side by side. */
const glanced = ref(false);
const side = computed(() => !glanced.value && readSome.value.length >= FEW);
const pieces = computed(() => (side.value ? undefined : all.value));
async function oneByOne(): Promise<void> {
  await reload();
  glanced.value = true;
}

const at = ref(0);
/** What was settled here, by piece: going back shows it again. */
const settled = ref(new Map<number, string>());
const text = ref("");
/** What went wrong, where that is asked: the box that was ticked, until another is chosen. */
const cause = ref("");
const input = ref<{ focus: () => void }>();
const { busy, errorMessage: refused, run } = useApiMutation();
const piece = computed<Piece | undefined>(() => pieces.value?.[at.value]);
/** How many of the next ones are seen beforehand. */
const AHEAD = 3;
const after = computed(() => (pieces.value ?? []).slice(at.value + 1, at.value + 1 + AHEAD));
const item = computed(() => check.value?.items.find((item) => item.id === piece.value?.item_id));
const child = computed(() => check.value?.children.find((child) => child.id === piece.value?.child_id));
const left = computed(() => (pieces.value?.length ?? 0) - settled.value.size);

interface Guess {
  answer: string;
  words: string;
  hands?: Loose;
}

/** What the reader takes it for; of hands also what may have been drawn. */
const guesses = computed<Guess[]>(() => {
  if (piece.value?.kind === "cause") return [];
  const seen = (piece.value?.guesses ?? []).map((answer) => ({
    answer,
    words: handsIn(answer) ? "as drawn" : answer,
    hands: handsIn(answer),
  }));
  const drawn = (item.value?.drawings ?? []).map((drawing) => ({
    answer: drawing.answer,
    words: drawing.name,
    hands: drawing,
  }));
  return [...seen, ...drawn].slice(0, 9);
});

/** Once it is there to be written in: its clock may come after it. */
watch(
  () => item.value && piece.value,
  async (now) => {
    const before = now ? (settled.value.get(now.id) ?? "") : "";
    const [named, time] = before.includes(";") ? before.split(/\s*;\s*/) : [now?.seen, before];
    cause.value = now?.kind === "cause" ? (named ?? "") : "";
    text.value = now?.kind === "cause" ? (time ?? "") : before;
    await nextTick();
    input.value?.focus();
  },
  { immediate: true },
);

async function take(answer: string): Promise<void> {
  const now = piece.value;
  if (!now || !answer.trim()) return;
  if (busy.value || !(await run(() => settlePiece(now.id, { answer: answer.trim() })))) return;
  settled.value = new Map(settled.value).set(now.id, answer.trim());
  at.value += 1;
}

/** A number alone is the guess with that number. */
function enter(): void {
  const typed = text.value.trim();
  // A cause alone, as it was read, is no answer yet.
  if (!typed) return;
  const guess =
    !["words", "cause"].includes(piece.value?.kind ?? "") && /^\d$/.test(typed)
      ? guesses.value[Number(typed) - 1]
      : undefined;
  void take(guess?.answer ?? [cause.value, typed].filter(Boolean).join("; "));
}

/** Of hands nothing is typed: the number is the answer. */
onKeyStroke(
  (event) => /^[1-9]$/.test(event.key),
  (event) => {
    const guess = guesses.value[Number(event.key) - 1];
    const typing = text.value !== (settled.value.get(piece.value?.id ?? 0) ?? "");
    if (piece.value?.kind !== "hands" || typing || !guess) return;
    event.preventDefault();
    void take(guess.answer);
  },
);
onKeyStroke("Escape", () => at.value > 0 && (at.value -= 1));
</script>

<template>
  <div class="page narrow">
    <div class="page-head">
      <h1>Check unclear answers</h1>
      <span v-if="check" class="quiet">{{ facts.titleOf(check) }}</span>
      <div class="actions">
        <BButton v-if="check" variant="outline-primary" :to="{ name: 'class', params: { id } }">
          See results
        </BButton>
      </div>
    </div>
    <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    <p v-else-if="!all || !check" class="quiet" aria-live="polite">Loading…</p>
    <AgreeAtOnce
      v-else-if="side && seen"
      :check="check"
      :pieces="readSome"
      :sure="seen.sample"
      :looked-at="seen.looked_at"
      @done="oneByOne"
    />
    <div v-else-if="piece && item" class="look d-grid gap-4 align-items-start">
      <div class="d-grid gap-3">
        <img
          class="piece d-block w-100 object-fit-contain on-card"
          :src="`/api/pieces/${piece.id}/picture`"
          :alt="`What ${child?.name} wrote`"
        />
        <div v-if="after.length" aria-hidden="true">
          <p class="eyebrow">Next</p>
          <div class="d-flex flex-wrap gap-2">
            <img
              v-for="sure in after"
              :key="sure.id"
              class="after object-fit-contain on-card"
              :src="`/api/pieces/${sure.id}/picture`"
              alt=""
            />
          </div>
        </div>
      </div>
      <div class="d-grid gap-3">
        <p class="question d-flex flex-wrap gap-3 align-items-center m-0">
          <span class="clock">
            <DialFace :facts="facts.of(item.dial)" :label="`Clock at ${item.time}`" detail="small" />
          </span>
          <span>
            <strong class="fs-125">{{ child?.name }}</strong>
            <span class="d-block">{{ item.right }}</span>
            <span v-if="piece.turned" class="quiet d-block">A digit is turned round.</span>
            <span class="quiet d-block" role="status">{{ at + 1 }} of {{ pieces?.length }}</span>
          </span>
        </p>
        <ol v-if="guesses.length" class="guesses list-unstyled d-flex flex-wrap gap-2 m-0">
          <li v-for="(guess, place) in guesses" :key="`${piece.id} ${place}`">
            <BButton variant="outline-primary" class="guess" @click="take(guess.answer)">
              <b>{{ place + 1 }}</b>
              <DialFace v-if="guess.hands" class="drawn" :facts="guess.hands" detail="small" />
              {{ guess.words }}
            </BButton>
          </li>
        </ol>
        <BFormGroup v-if="piece.kind === 'cause'" label="What went wrong, says the child">
          <BFormRadioGroup
            v-model="cause"
            :options="item.options.map((option) => ({ value: option.id, text: option.name }))"
            stacked
          />
        </BFormGroup>
        <form class="d-flex flex-wrap gap-2" @submit.prevent="enter">
          <BFormInput
            ref="input"
            v-model="text"
            :maxlength="LIMITS.TypedAnswer"
            autocomplete="off"
            :aria-label="`What ${child?.name} wrote`"
            :placeholder="
              guesses.length ? 'Press a number, or type it' : 'Type the time, in full or short: qt8'
            "
          />
          <BButton type="submit" variant="primary">Next</BButton>
          <BButton variant="outline-primary" @click="take('-')">Blank</BButton>
          <BButton variant="outline-primary" :disabled="at === 0" @click="at -= 1">Back</BButton>
        </form>
        <p v-if="refused" class="field-error m-0" role="alert">{{ refused }}</p>
        <p class="quiet m-0">Enter goes on, Esc goes back.</p>
      </div>
    </div>
    <p v-else role="status">
      {{ settled.size || glanced ? "All done." : "Nothing to check here." }}
      <RouterLink :to="{ name: 'class', params: { id } }">See results</RouterLink>
      <span v-if="left > 0" class="quiet">{{ left }} left</span>
    </p>
  </div>
</template>

<style scoped lang="scss">
.look {
  grid-template-columns: minmax(0, 1fr);

  @media (min-width: 60rem) {
    grid-template-columns: minmax(0, 3fr) minmax(22rem, 2fr);
  }
}

.clock {
  width: 6rem;
}

.piece {
  height: min(26rem, 55vh);
  border: 1px solid var(--v-line);
  border-radius: 0.6rem;
}

.after {
  width: 11rem;
  height: 6rem;
  border: 1px solid var(--v-line);
  border-radius: 0.4rem;
}

.guess {
  display: flex;
  align-items: center;
  gap: 0.6rem;
}

.drawn {
  width: 3.2rem;
}
</style>
