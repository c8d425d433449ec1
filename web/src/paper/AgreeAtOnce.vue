<script setup lang="ts">
import { computed, ref } from "vue";
import { confirmPieces, useApiMutation, type Check, type Piece, type PiecesSeen } from "@/api";
import { DialFace, handsIn, type Loose } from "@/dial";
import { counted } from "@/words";

/** All that was read but is not sure, side by side: the wrong ones are clicked, all others are taken with one press. */
const props = defineProps<{
  check: Check;
  pieces: readonly Piece[];
  /** Some that the reader was sure of, to see whether it was right to be. */
  sure: readonly Piece[];
  /** Of these, how many were looked at before, and how many were wrong. */
  lookedAt: PiecesSeen["looked_at"];
}>();
const emit = defineEmits<{ done: [] }>();

const odd = ref(new Set<number>());
const { busy, errorMessage, run } = useApiMutation();
const names = computed(() => new Map(props.check.children.map((child) => [child.id, child.name])));
const left = computed(() => props.pieces.filter((piece) => !odd.value.has(piece.id)));

/** What was read alike stands together: the eye finds what differs. */
const grouped = (pieces: readonly Piece[]): (Piece & { hands?: Loose })[] => {
  const order = [...pieces].sort((one, other) => one.seen.localeCompare(other.seen, "en", { numeric: true }));
  return order.map((piece) => ({ ...piece, hands: handsIn(piece.seen) }));
};
const parts = computed(() => [
  { id: "unsure", head: "", pieces: grouped(props.pieces) },
  { id: "sure", head: "Read and marked already: are these right?", pieces: grouped(props.sure) },
]);
const shownBefore = computed(() => {
  const { shown, wrong } = props.lookedAt;
  return shown ? `Of ${shown} looked at so far, ${wrong || "none"} ${wrong > 1 ? "were" : "was"} wrong.` : "";
});

function turn(id: number): void {
  const now = new Set(odd.value);
  if (!now.delete(id)) now.add(id);
  odd.value = now;
}

async function agree(): Promise<void> {
  const ids = props.sure.map((piece) => piece.id);
  const wrong = ids.filter((id) => odd.value.has(id));
  const sure = ids.filter((id) => !odd.value.has(id));
  const pieces = left.value.map((piece) => piece.id);
  if (await run(() => confirmPieces(props.check.id, { piece_ids: pieces, sure_ids: sure, wrong_ids: wrong })))
    emit("done");
}
</script>

<template>
  <div class="d-grid gap-3">
    <div class="bar d-flex flex-wrap gap-3 align-items-center position-sticky top-0 py-2 on-paper">
      <p class="m-0 me-auto">
        <strong>Click what is read wrongly.</strong>
        All others are taken with one press.
      </p>
      <BButton variant="outline-primary" @click="emit('done')">One by one</BButton>
      <BButton variant="primary" autofocus :disabled="busy" @click="agree">
        {{
          left.length
            ? `${counted(left.length, "answer")} ${left.length === 1 ? "is" : "are"} right`
            : "Go on"
        }}
      </BButton>
    </div>
    <p v-if="errorMessage" class="field-error m-0" role="alert">{{ errorMessage }}</p>
    <template v-for="part in parts" :key="part.id">
      <h2 v-if="part.head && part.pieces.length" class="h5 m-0 mt-3">
        {{ part.head }}
        <span v-if="shownBefore" class="quiet fs-6 fw-normal">{{ shownBefore }}</span>
      </h2>
      <ul class="all list-unstyled d-grid gap-2 m-0">
        <li v-for="piece in part.pieces" :key="piece.id">
          <BButton
            variant="bare"
            class="one choice w-100 h-100 d-grid gap-1 p-2"
            :class="{ odd: odd.has(piece.id) }"
            :aria-pressed="odd.has(piece.id)"
            @click="turn(piece.id)"
          >
            <img class="w-100 object-fit-contain" :src="`/api/pieces/${piece.id}/picture`" alt="" />
            <span class="d-flex align-items-center justify-content-center gap-2">
              <DialFace v-if="piece.hands" class="hands" :facts="piece.hands" detail="small" />
              <strong v-else class="fs-125">{{ piece.seen }}</strong>
              <span class="quiet">{{ names.get(piece.child_id) }}</span>
              <i v-if="piece.turned" class="bi bi-symmetry-vertical" title="A digit is turned round."></i>
            </span>
            <span v-if="odd.has(piece.id)" class="visually-hidden">read wrongly</span>
          </BButton>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped lang="scss">
.bar {
  z-index: 1;
}

.all {
  grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
}

img {
  height: 6rem;
}

.one {
  background: var(--v-card);
  border: 2px solid var(--v-line);
  border-radius: 0.6rem;

  &.odd {
    border-color: var(--v-slip);
    border-style: dashed;

    img,
    strong,
    .hands {
      opacity: 0.35;
    }
  }
}

.hands {
  width: 3.4rem;
}
</style>
