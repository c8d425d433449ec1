import { useLocalStorage, useTimeoutFn } from "@vueuse/core";
import { computed, ref, shallowReactive, watch, type Ref } from "vue";
import { addAnswer, newId, overrideVerdict, Refused, type Answer, type Check } from "@/api";

interface Waiting {
  id: string;
  item_id: number;
  child_id: number;
  answer: string;
}

const RETRY_MS = 3000;

/** The place of an answer on the grid. */
export function placeOf(childId: number, itemId: number): string {
  return `${childId}:${itemId}`;
}

/**
 * The answers of one check while they are typed in. Each keystroke is kept in the browser at once;
 * an answer goes to the server when its cell is left, and waits there for as long as the server does
 * not answer. Nothing typed is lost by a reload, on either side.
 */
export function useTypedAnswers(check: Ref<Check>) {
  const stored = shallowReactive(new Map<string, Answer>());
  const wrong = shallowReactive(new Map<string, string>());
  const drafts = useLocalStorage<Record<string, string>>(() => `vantick.drafts.${check.value.id}`, {});
  const waiting = useLocalStorage<Waiting[]>(() => `vantick.waiting.${check.value.id}`, []);
  const last = ref<Answer | null>(null);
  /** What stood in a cell before each change, the latest last. */
  const past = ref<{ place: string; text: string }[]>([]);
  const offline = ref(false);
  let sending = false;
  let undoing = false;
  const { start: tryAgain } = useTimeoutFn(() => void send(), RETRY_MS, { immediate: false });

  watch(
    check,
    ({ answers }) => {
      stored.clear();
      answers.forEach((answer) => stored.set(placeOf(answer.child_id, answer.item_id), answer));
      Object.keys(drafts.value).forEach(commit);
      void send();
    },
    { immediate: true },
  );

  const unsent = computed(
    () => new Set(waiting.value.map((answer) => placeOf(answer.child_id, answer.item_id))),
  );

  /** What stands in a cell: what is being typed, what waits to be stored, or what is stored. */
  function textAt(place: string): string {
    const sent = waiting.value.findLast((answer) => placeOf(answer.child_id, answer.item_id) === place);
    return drafts.value[place] ?? sent?.answer ?? stored.get(place)?.answer ?? "";
  }

  function type(place: string, text: string): void {
    drafts.value = { ...drafts.value, [place]: text };
    wrong.delete(place);
  }

  function drop(place: string): void {
    drafts.value = Object.fromEntries(Object.entries(drafts.value).filter(([key]) => key !== place));
  }

  /** Puts an end to typing in a cell: what is new there goes to the server. */
  function commit(place: string): void {
    const text = drafts.value[place];
    if (text === undefined || wrong.has(place)) return;
    drop(place);
    if (text === textAt(place)) return;
    if (!undoing) past.value = [...past.value, { place, text: textAt(place) }];
    const [child, item] = place.split(":").map(Number) as [number, number];
    waiting.value = [...waiting.value, { id: newId(), item_id: item, child_id: child, answer: text }];
    void send();
  }

  /** Puts back what stood in the cell changed last. */
  function undo(): void {
    const before = past.value.at(-1);
    if (!before) return;
    past.value = past.value.slice(0, -1);
    undoing = true;
    type(before.place, before.text);
    commit(before.place);
    undoing = false;
  }

  /** A teacher's own verdict: right where it was not, and the other way round; once more takes it back. */
  async function rule(place: string): Promise<void> {
    const answer = stored.get(place);
    if (!answer || answer.verdict === "blank") return;
    const ruled = answer.verdict !== answer.first_verdict;
    try {
      const judged = await overrideVerdict(answer.id, {
        verdict: ruled ? null : answer.right ? "unexplained" : "right",
      });
      stored.set(place, judged);
      last.value = judged;
    } catch (error) {
      if (error instanceof Refused) wrong.set(place, error.message);
    }
  }

  /** Sends what waits, one after the other, in the order in which it was typed. */
  async function send(): Promise<void> {
    if (sending) return;
    sending = true;
    try {
      for (let next = waiting.value[0]; next; next = waiting.value[0]) await sendOne(next);
      offline.value = false;
    } catch {
      offline.value = true;
      tryAgain();
    } finally {
      sending = false;
    }
  }

  async function sendOne(next: Waiting): Promise<void> {
    const place = placeOf(next.child_id, next.item_id);
    try {
      const answer = await addAnswer(check.value.id, next);
      stored.set(place, answer);
      last.value = answer;
    } catch (error) {
      if (!(error instanceof Refused) || error.passing) throw error;
      drafts.value = { ...drafts.value, [place]: next.answer };
      wrong.set(place, error.message);
    }
    waiting.value = waiting.value.filter((answer) => answer.id !== next.id);
  }

  return {
    stored,
    wrong,
    waiting,
    unsent,
    offline,
    last,
    past,
    textAt,
    type,
    drop,
    commit,
    send,
    undo,
    rule,
  };
}

export type TypedAnswers = ReturnType<typeof useTypedAnswers>;
