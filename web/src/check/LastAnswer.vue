<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Check } from "@/api";
import { AnswerShown, VerdictMark, SLIPS, verdictWords } from "@/shared";
import type { TypedAnswers } from "./useTypedAnswers";

/** Reads back the answer stored last, and says what is not stored yet. */
const props = defineProps<{ check: Check; answers: TypedAnswers }>();

const facts = useFacts();
/** Children drew hands: no short forms then. */
const drawn = computed(() => props.check.items.some((item) => item.drawings.length > 0));
const last = computed(() => {
  const answer = props.answers.last.value;
  if (!answer || answer.verdict === "blank") return null;
  const items = props.check.items.filter(
    (item) => item.child_id === null || item.child_id === answer.child_id,
  );
  const clock = items.findIndex((item) => item.id === answer.item_id);
  return {
    ...answer,
    child: props.check.children.find((child) => child.id === answer.child_id)?.name,
    clock: clock + 1,
    right: items[clock]?.right,
    verdictWord: verdictWords(answer),
    causes: answer.misreadings.map((id) => facts.misreading(id).name).join(", or "),
    slipWords: answer.slips.map((slip) => facts.inEnglish(SLIPS[slip])).join(", "),
  };
});
</script>

<template>
  <div class="last mt-2 position-sticky bottom-0 px-2 pt-075 pb-2 on-paper border-top">
    <p v-if="answers.offline.value" role="alert" class="offline fw-bold tone-slip mb-035">
      <i class="bi bi-hourglass-split" aria-hidden="true"></i>
      Can't reach Vantick. {{ answers.waiting.value.length }} saved here. They are sent when it's back.
    </p>
    <p aria-live="polite" class="read-back mb-035">
      <template v-if="last">
        {{ last.child }}, clock {{ last.clock }}:
        <strong><AnswerShown :answer="last.answer" /></strong>
        <template v-if="last.read_as && !drawn">
          reads as
          <strong>{{ last.read_as }}</strong>
        </template>
        <VerdictMark :verdict="last.verdict" :half="last.half" quiet class="ms-2" />
        {{ last.verdictWord }}
        <template v-if="last.verdict !== last.first_verdict">(marked by you)</template>
        <template v-if="last.causes">({{ last.causes }})</template>
        <template v-else-if="last.slipWords">({{ last.slipWords }})</template>
        <template v-for="(words, at) in last.near" :key="words">
          <kbd class="key ms-2">Alt {{ at + 1 }}</kbd>
          {{ words }}?
        </template>
      </template>
      <template v-else-if="drawn">
        Press the number of the picture that looks like the child's clock.
      </template>
      <template v-else>Type what the child wrote. Short forms work too:</template>
    </p>
    <p class="keys m-0 quiet fs-90">
      <template v-if="!drawn">
        <kbd class="key">qp7</kbd>
        quarter past
        <kbd class="key">hp7</kbd>
        half past
        <kbd class="key">qt8</kbd>
        quarter to
        <kbd class="key">20t8</kbd>
        <kbd class="key">12p3</kbd>
        <kbd class="key">8o</kbd>
        o'clock
        <span class="gap d-inline-block"></span>
      </template>
      <kbd class="key">Enter</kbd>
      next
      <kbd class="key">↑</kbd>
      <kbd class="key">↓</kbd>
      another child
      <kbd class="key">@</kbd>
      whose slip
      <kbd class="key">!</kbd>
      mark it yourself
      <kbd class="key">Ctrl Z</kbd>
      undo
      <kbd class="key">Esc</kbd>
      cancel
    </p>
  </div>
</template>

<style scoped>
.last {
  z-index: 2;
  margin-inline: -0.5rem;
}

.read-back {
  min-height: 1.5rem;
}

.gap {
  width: 1rem;
}
</style>
