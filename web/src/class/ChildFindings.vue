<script setup lang="ts">
import { useFacts, type Findings } from "@/api";
import { NO_ANSWERS, shownAlone } from "@/shared";
import { counted } from "@/words";

/** Child by child, in the order of the register: what may lie behind the mistakes. */
defineProps<{ findings: Findings }>();

const facts = useFacts();

function countWords({ answered, right, unreadable }: Findings["children"][number]): string {
  if (answered === 0) return "";
  if (answered === right) return "all right";
  const mistakes = answered - right - unreadable;
  const parts = [
    mistakes > 0 ? `${counted(mistakes, "mistake")}, no pattern` : "",
    unreadable ? `${counted(unreadable, "answer")} unreadable` : "",
  ];
  return parts.filter(Boolean).join("; ");
}
</script>

<template>
  <BTableSimple class="children">
    <caption class="visually-hidden">Children and the mistakes their answers show</caption>
    <BThead>
      <BTr>
        <BTh scope="col">Child</BTh>
        <BTh scope="col">Right</BTh>
        <BTh scope="col">Likely cause</BTh>
        <BTh scope="col">How often</BTh>
      </BTr>
    </BThead>
    <BTbody>
      <BTr v-for="child in findings.children" :key="child.child_id" :class="{ quiet: child.answered === 0 }">
        <BTh scope="row">{{ child.name }}</BTh>
        <BTd class="right text-nowrap">
          <template v-if="child.answered">{{ child.right }} of {{ child.answered }}</template>
          <template v-else>{{ NO_ANSWERS[child.slip] }}</template>
        </BTd>
        <template v-if="child.evidence.length">
          <BTd>
            <div
              v-for="(piece, at) in child.evidence"
              :key="piece.misreading"
              :class="at === 0 && piece.shown ? 'fw-bold' : 'quiet'"
            >
              {{ facts.misreading(piece.misreading).name }}
            </div>
          </BTd>
          <BTd>
            <div
              v-for="(piece, at) in child.evidence"
              :key="piece.misreading"
              :class="at === 0 && piece.shown ? 'fw-bold' : 'quiet'"
            >
              {{ piece.hits }} of {{ counted(piece.chances, "time") }} it could show
              <span v-if="piece.own_hits < piece.hits" class="quiet">({{ shownAlone(piece.own_hits) }})</span>
            </div>
          </BTd>
        </template>
        <BTd v-else colspan="2" class="quiet">
          {{ countWords(child) }}
        </BTd>
      </BTr>
    </BTbody>
  </BTableSimple>
</template>

<style scoped lang="scss">
.children {
  width: 100%;
  background: var(--v-card);
  border: 1px solid var(--v-line);
  border-radius: var(--v-radius);
  border-collapse: separate;
  border-spacing: 0;
  overflow: hidden;

  th,
  td {
    padding: 0.5rem 1rem;
    vertical-align: top;
    text-align: left;
  }

  thead th {
    color: var(--v-quiet);
    font-weight: 400;
    font-size: 0.95rem;
  }

  tbody tr > * {
    border-top: 1px solid var(--v-line);
  }
}
</style>
