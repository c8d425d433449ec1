<script setup lang="ts">
import { useDebounceFn, useEventListener } from "@vueuse/core";
import { computed, shallowRef } from "vue";
import { readFindings, useApiQuery, type Check } from "@/api";
import { TomorrowCard, WhatTheyTell } from "@/shared";
import AnswerGrid from "./AnswerGrid.vue";
import { placeOf, useTypedAnswers } from "./useTypedAnswers";
import LastAnswer from "./LastAnswer.vue";
import TablePanel from "./TablePanel.vue";

/** The grid of a check, and beside it what the answers say so far. */
const props = defineProps<{ check: Check }>();
defineEmits<{ swapped: [check: Check] }>();

const shown = shallowRef(props.check);
const answers = useTypedAnswers(shown);
/** Answers that wait for a person. */
const waiting = computed(() =>
  [...answers.stored.values()]
    .filter((answer) => answer.verdict === "unreadable")
    .map((answer) => ({
      id: answer.id,
      place: placeOf(answer.child_id, answer.item_id),
      text: answer.answer,
      near: answer.near,
      child: props.check.children.find((child) => child.id === answer.child_id)?.name,
      clock:
        props.check.items
          .filter((item) => item.child_id === null || item.child_id === answer.child_id)
          .findIndex((item) => item.id === answer.item_id) + 1,
    })),
);

function goTo(child: string | undefined, clock: number): void {
  document
    .querySelector<HTMLInputElement>(`input[aria-label="${CSS.escape(child ?? "")}, clock ${clock}"]`)
    ?.focus();
}
/** What the teacher says that it means stands in the place of what cannot be read; Ctrl+Z takes it back. */
function take(place: string, words: string | undefined): void {
  if (!words) return;
  answers.type(place, words);
  answers.commit(place);
}
/** By key for the answer typed last. */
useEventListener("keydown", (event: KeyboardEvent) => {
  const last = answers.last.value;
  if (!event.altKey || !last?.near.length || !["Digit1", "Digit2"].includes(event.code)) return;
  event.preventDefault();
  take(placeOf(last.child_id, last.item_id), last.near[event.code === "Digit1" ? 0 : 1]);
});
/** Where the server does not answer the grid says so; the findings come with the next answer stored. */
const { data: findings, reload } = useApiQuery(readFindings, () => [props.check.id]);
const lookSoon = useDebounceFn(reload, 250);
</script>

<template>
  <div class="type-in abreast d-grid gap-4 align-items-start">
    <div>
      <AnswerGrid
        :check="check"
        :answers="answers"
        :findings="findings"
        @stored="lookSoon"
        @swapped="$emit('swapped', $event)"
      />
      <LastAnswer :check="check" :answers="answers" />
      <TablePanel :check="check" @taken="shown = $event" />
    </div>
    <aside class="d-grid gap-125 stays">
      <TomorrowCard v-if="findings?.shared.length" :shared="findings.shared" heading="So far" />
      <BCard v-else>
        <p class="eyebrow">So far</p>
        <p class="mb-0">
          No pattern in the answers yet. Likely causes appear here as soon as there are some.
        </p>
      </BCard>
      <BCard v-if="waiting.length">
        <h2 class="eyebrow">Unreadable</h2>
        <ul class="list-unstyled m-0">
          <li v-for="answer in waiting" :key="answer.id">
            <BButton
              variant="bare"
              class="py-015 text-decoration-underline"
              @click="goTo(answer.child, answer.clock)"
            >
              {{ answer.child }}, clock {{ answer.clock }}
            </BButton>
            “{{ answer.text }}”
            <template v-if="answer.near.length">
              Did the child mean:
              <BButton
                v-for="words in answer.near"
                :key="words"
                variant="outline-primary"
                size="sm"
                class="m-1"
                @click="take(answer.place, words)"
              >
                {{ words }}
              </BButton>
            </template>
          </li>
        </ul>
      </BCard>
      <WhatTheyTell :choice="check.choice" />
    </aside>
  </div>
</template>

<style scoped>
.type-in {
  --abreast: minmax(0, 1fr) 17.5rem;
}
</style>
