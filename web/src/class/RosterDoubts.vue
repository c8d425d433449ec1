<script setup lang="ts">
import { computed } from "vue";
import type { RosterChange } from "@/api";
import { moment } from "@/words";
import { firstOfEach } from "./sameChildren";

/** Who on the list may be a child of the class: the teacher says whether it is. Nobody gets a record unasked. */
type Doubt = RosterChange["doubts"][number];
type Candidate = Doubt["children"][number];
const props = defineProps<{ doubts: readonly Doubt[] }>();
/** By place on the list the child of the class, or nothing for another child. */
const same = defineModel<Record<number, number | null>>({ required: true });

const first = ({ children }: Doubt): Candidate | undefined =>
  children.find(({ id }) => !chosen.value.has(id));
const chosen = computed(() => new Set(Object.values(same.value)));
const open = computed(() => props.doubts.filter(({ at }) => !same.value[at]));

const last = (child: Candidate): string =>
  child.last ? `last clock ${child.last.time}, ${moment(child.last.at)}` : "no answers yet";
const left = (child: Candidate): string => (child.left_at ? `, left on ${moment(child.left_at)}` : "");

/** One child may be it, or one of several: then each is named. */
function options(doubt: Doubt) {
  const named = doubt.children.length > 1;
  return [
    { value: null as number | null, text: "Another child" },
    ...doubt.children.map((child) => ({
      value: child.id as number | null,
      text: named ? `Same child as ${child.name}` : "Same child",
    })),
  ];
}

const say = (at: number, child: number | null): void => void (same.value = { ...same.value, [at]: child });

/** Each with the child that fits best, none twice. */
const all = (): void => void (same.value = firstOfEach(props.doubts, same.value));
</script>

<template>
  <fieldset v-if="doubts.length" class="mb-3">
    <legend class="fs-6 fw-bold mb-1">Is it the same child?</legend>
    <p class="quiet mb-2">The same child keeps the answers so far. Another child starts with none.</p>
    <BButton v-if="open.some(first)" variant="outline-primary" size="sm" class="mb-2" @click="all">
      All are the same
    </BButton>
    <ul class="list-unstyled m-0 d-grid gap-2">
      <li v-for="doubt in doubts" :key="doubt.at" class="d-grid">
        <strong :id="`same-${doubt.at}`">{{ doubt.name }}</strong>
        <span v-for="child in doubt.children" :key="child.id" class="quiet">
          {{ child.name }} here: {{ last(child) }}{{ left(child) }}
        </span>
        <BFormRadioGroup
          :model-value="same[doubt.at] ?? null"
          :options="options(doubt)"
          :aria-labelledby="`same-${doubt.at}`"
          @update:model-value="say(doubt.at, $event as number | null)"
        />
      </li>
    </ul>
  </fieldset>
</template>
