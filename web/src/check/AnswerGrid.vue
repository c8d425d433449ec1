<script setup lang="ts">
import { computed, onMounted, ref, watch } from "vue";
import { listPieces, useApiQuery, useFacts, type Check, type Findings, type Piece } from "@/api";
import { DialFace } from "@/dial";
import { NO_ANSWERS, useAway } from "@/shared";
import AnswerCell from "./AnswerCell.vue";
import PileBar from "./PileBar.vue";
import SheetLetter from "./SheetLetter.vue";
import { placeOf, type TypedAnswers } from "./useTypedAnswers";
import { counted, isoDay } from "@/words";

/** Children down, clocks across. Enter goes on to the next clock, after the last to the next child. */
const props = defineProps<{ check: Check; answers: TypedAnswers; findings: Findings | null }>();
const emit = defineEmits<{ stored: []; swapped: [check: Check] }>();

const facts = useFacts();
const table = ref<HTMLTableElement>();
/** The clocks of each child: those of all, or their own. */
const itemsOf = computed(
  () =>
    new Map(
      props.check.children.map((child) => [
        child.id,
        props.check.items.filter((item) => item.child_id === null || item.child_id === child.id),
      ]),
    ),
);
const across = computed(() => Math.max(0, ...[...itemsOf.value.values()].map((items) => items.length)));
const own = computed(() => props.check.items.some((item) => item.child_id !== null));
const heads = computed(() => [...itemsOf.value.values()][0] ?? []);
const leads = computed(
  () =>
    new Map(
      props.findings?.children.map((child) => {
        const first = child.evidence[0];
        return [child.child_id, first?.shown ? first : undefined];
      }),
    ),
);

/** Pieces of paper that were read, by place. */
const { data: pieces } = useApiQuery(listPieces, () => [props.check.id]);
const pieceAt = computed(
  () =>
    new Map<string, Piece>(
      pieces.value?.pieces.map((piece) => [placeOf(piece.child_id, piece.item_id), piece]),
    ),
);

watch(
  () => props.answers.last.value,
  () => emit("stored"),
);

const later = computed(
  () =>
    new Set(
      props.findings?.children
        .filter((child) => child.slip === "not_here_then")
        .map((child) => child.child_id),
    ),
);
/** Who was away that day: a tap on the mark, or a key in the row. */
const { away, toggle: toggleAway } = useAway(
  () => props.check.class_id,
  () => isoDay(new Date(props.check.made_at)),
);
const nothing = (child: number): boolean =>
  (itemsOf.value.get(child) ?? []).every(
    (item) => props.answers.textAt(placeOf(child, item.id)).trim() === "",
  );

/** Whether children are taken as their slips lie: then the end of a row leads to the next name. */
const piling = ref(false);
const pile = ref<InstanceType<typeof PileBar>>();
const cells = (): HTMLInputElement[] => [...(table.value?.querySelectorAll<HTMLInputElement>("input") ?? [])];

/** Moves to another cell, counted along the rows, or straight up and down. */
function go(from: number, by: number): void {
  const rowEnds = by === 1 && (from + 1) % across.value === 0;
  if (piling.value && rowEnds) pile.value?.focus();
  else cells()[from + by]?.focus();
}

/** To a child's first clock that has no answer yet. */
function jump(child: number): void {
  piling.value = true;
  const row = props.check.children.findIndex((other) => other.id === child);
  const items = itemsOf.value.get(child) ?? [];
  const first = items.findIndex((item) => props.answers.textAt(placeOf(child, item.id)).trim() === "");
  cells()[row * across.value + Math.max(first, 0)]?.focus();
}

/** What stands in the cells of a child that have nothing in them yet, all at once; then the next child. */
function fill(row: number, text: (item: Check["items"][number]) => string): void {
  const child = props.check.children[row];
  if (!child) return;
  itemsOf.value.get(child.id)?.forEach((item) => {
    const place = placeOf(child.id, item.id);
    if (props.answers.textAt(place).trim() !== "") return;
    props.answers.type(place, text(item));
    props.answers.commit(place);
  });
  if (piling.value) pile.value?.focus();
  else cells()[(row + 1) * across.value]?.focus();
}

const KEYS: Record<string, (row: number) => void> = {
  "@": () => pile.value?.focus(),
  "=": (row) => fill(row, (item) => item.drawings[0]?.answer ?? item.right),
  "#": (row) => fill(row, () => "-"),
  _: (row) => {
    const child = props.check.children[row];
    if (child) void toggleAway(child.id);
    cells()[(row + 1) * across.value]?.focus();
  },
};

function press(event: KeyboardEvent): void {
  const does = KEYS[event.key];
  if (!does || event.ctrlKey || event.metaKey) return;
  const row = Math.floor(cells().indexOf(event.target as HTMLInputElement) / across.value);
  const child = props.check.children[row];
  // Among words it is a mark as any other.
  if (!child || (event.key === "_" && !away.value.has(child.id) && !nothing(child.id))) return;
  event.preventDefault();
  does(row);
}

/** The keys are where typing begins. */
onMounted(() => {
  const busy = document.activeElement?.closest("input, select, textarea");
  if (busy || window.matchMedia("(pointer: coarse)").matches) return;
  const all = cells();
  (all.find((cell) => cell.value === "") ?? all[0])?.focus({ preventScroll: true });
});
</script>

<template>
  <PileBar ref="pile" :check="check" :answers="answers" :later="later" @jump="jump" />
  <div class="room position-relative overflow-x-auto p-2">
    <!-- By hand: keys go from cell to cell, and its head and names stay where they are. -->
    <table ref="table" class="grid w-100" @keydown="press">
      <caption class="visually-hidden">Answers: children down, clocks across</caption>
      <thead>
        <tr>
          <td class="corner"></td>
          <th v-for="(item, at) in heads" :key="item.id" scope="col">
            <template v-if="own">Clock {{ at + 1 }}</template>
            <template v-else>
              <div class="clock mx-auto mt-0 mb-02">
                <DialFace :facts="facts.of(item.dial)" detail="small" :label="`Clock at ${item.time}`" />
              </div>
              <span v-if="item.said" class="d-block fs-85 lh-115 tone-quiet">“{{ item.said }}”</span>
              <span class="d-block fs-85 lh-115 tone-quiet">{{ item.right }}</span>
            </template>
          </th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(child, row) in check.children" :key="child.id" :class="{ gone: away.has(child.id) }">
          <th class="text-nowrap position-sticky" scope="row">
            {{ child.name }}
            <SheetLetter
              v-if="own && check.letters.length"
              :check="check"
              :child="child"
              @swapped="emit('swapped', $event)"
            />
            <BButton
              v-if="away.has(child.id) || nothing(child.id)"
              variant="link"
              size="sm"
              class="away p-0 ms-1"
              tabindex="-1"
              :aria-pressed="away.has(child.id)"
              :aria-label="`${child.name} was away`"
              @click="toggleAway(child.id)"
            >
              away
            </BButton>
          </th>
          <td v-for="(item, column) in itemsOf.get(child.id)" :key="item.id">
            <AnswerCell
              :place="placeOf(child.id, item.id)"
              :label="`${child.name}, clock ${column + 1}`"
              :answers="answers"
              :drawings="item.drawings"
              :right="own ? item.right : undefined"
              :piece="pieceAt.get(placeOf(child.id, item.id))"
              @next="go(row * across + column, $event)"
              @down="go(row * across + column, $event * across)"
            />
          </td>
          <td class="lead text-nowrap fs-85 lh-120">
            <template v-if="leads.get(child.id)">
              <span>{{ facts.misreading(leads.get(child.id)!.misreading).name }}</span>
              {{ leads.get(child.id)!.hits }} of {{ counted(leads.get(child.id)!.chances, "time") }}
            </template>
            <template v-else-if="away.has(child.id)">{{ NO_ANSWERS.away }}</template>
            <template v-else-if="later.has(child.id)">{{ NO_ANSWERS.not_here_then }}</template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped lang="scss">
.room {
  margin: -0.5rem;
}

.grid {
  border-collapse: collapse;

  td,
  th {
    padding: 0.2rem 0.25rem;
    font-weight: 400;
  }

  tbody tr {
    border-top: 1px solid var(--v-line);
  }

  tbody th {
    font-weight: 700;
    padding-right: 0.75rem;
    left: -0.5rem;
    background: var(--v-paper);
  }

  tbody tr:focus-within th {
    color: var(--v-hour);
  }

  thead th {
    text-align: center;
    vertical-align: bottom;
    padding-bottom: 0.4rem;
    min-width: 6.5rem;
  }
}

.away {
  min-height: 0;
  color: var(--v-quiet);
  text-decoration: none;

  &[aria-pressed="true"] {
    font-weight: 700;
    color: var(--v-ink);
  }
}

.gone td {
  opacity: 0.4;
}

.clock {
  width: 4.75rem;
  height: 4.75rem;
}

.lead {
  color: var(--v-quiet);
  width: 8.5rem;

  span {
    display: block;
    font-weight: 700;
  }
}
</style>
