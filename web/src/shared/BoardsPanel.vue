<script setup lang="ts">
import { computed, ref, watch } from "vue";
import {
  keepBoards,
  useApiQuery,
  useApiMutation,
  useFacts,
  waitForBoards,
  type Amount,
  type BoardsAdvice,
  type BoardsSent,
} from "@/api";

/**
 * What a class shows when all hold up their boards: the right answer and those to wait for, small, as they are for the teacher. How many
 * showed which is one tap each; what to do next comes at once.
 */
const props = defineProps<{ classId: number; asked: Pick<BoardsSent, "task" | "time">; lessonId?: number }>();
const emit = defineEmits<{ ask: [dial: string]; close: [] }>();

const facts = useFacts();
const { data: awaited, errorMessage } = useApiQuery(waitForBoards, () => [
  props.classId,
  { task: props.asked.task, time: props.asked.time },
]);
const { busy, errorMessage: refused, run } = useApiMutation();
const amounts = ref<Record<string, Amount>>({});
const advice = ref<BoardsAdvice | null>(null);
watch(
  () => props.asked.time,
  () => {
    amounts.value = {};
    advice.value = null;
  },
);
const rows = computed(() =>
  awaited.value
    ? [
        { id: "right", text: awaited.value.answer, why: "" },
        ...awaited.value.wrong.map((wrongAnswer) => ({
          id: wrongAnswer.misreading,
          text: wrongAnswer.answer,
          why: facts.misreading(wrongAnswer.misreading).name,
        })),
        { id: "other", text: "something else", why: "" },
      ]
    : [],
);
const choices = computed(() => (facts.catalogue?.amounts ?? []).filter((amount) => amount.id !== "none"));

function count(answer: string, amount: string): void {
  const { [answer]: before, ...others } = amounts.value;
  amounts.value = before === amount ? others : { ...others, [answer]: amount as Amount };
  advice.value = null;
}

const next = (): Promise<boolean> =>
  run(async () => {
    const counted = Object.entries(amounts.value).map(([answer, amount]) => ({ answer, amount }));
    advice.value = await keepBoards(props.classId, {
      ...props.asked,
      lesson_id: props.lessonId ?? null,
      amounts: counted,
    });
  });
</script>

<template>
  <section class="boards on-card" aria-label="Boards">
    <header class="d-flex align-items-center justify-content-between">
      <b>Boards up: how many?</b>
      <BButton variant="bare" class="shut" @click="emit('close')">
        <i class="bi bi-x-lg" aria-hidden="true"></i>
        <span class="visually-hidden">Close boards</span>
      </BButton>
    </header>
    <p v-if="errorMessage || refused" role="alert" class="field-error m-0">{{ errorMessage || refused }}</p>
    <ul class="list-unstyled m-0 d-grid gap-1">
      <li v-for="row in rows" :key="row.id">
        <span class="said" :title="row.why">
          <i v-if="row.id === 'right'" class="bi bi-check-lg tone-right" aria-label="right"></i>
          {{ row.text }}
        </span>
        <span class="amounts d-flex" role="group" :aria-label="row.text">
          <BButton
            v-for="choice in choices"
            :key="choice.id"
            variant="bare"
            class="amount"
            :aria-pressed="amounts[row.id] === choice.id"
            @click="count(row.id, choice.id)"
          >
            {{ choice.name }}
          </BButton>
        </span>
      </li>
    </ul>
    <div aria-live="polite">
      <template v-if="advice">
        <p v-if="advice.misreading" class="quiet m-0">They {{ facts.misreading(advice.misreading).does }}.</p>
        <p class="m-0">{{ advice.say }}</p>
        <BButton
          v-if="advice.dial"
          variant="outline-primary"
          size="sm"
          class="mt-1"
          @click="emit('ask', advice.dial)"
        >
          Ask {{ facts.of(advice.dial).digital }} next
        </BButton>
      </template>
      <BButton
        v-else
        variant="primary"
        size="sm"
        :disabled="busy || !Object.keys(amounts).length"
        @click="next"
      >
        What next?
      </BButton>
    </div>
  </section>
</template>

<style scoped lang="scss">
.boards {
  display: grid;
  gap: 0.4rem;
  width: min(19rem, 100%);
  padding: 0.6rem 0.8rem;
  border: 1px solid var(--v-line);
  border-radius: 0.8rem;
  font-size: 0.82rem;
  line-height: 1.25;
}

.shut {
  min-width: 2.75rem;
  min-height: 2rem;
}

.amount {
  flex: 1;
  min-height: 2.75rem;
  padding: 0 0.2rem;
  border: 1px solid var(--v-line);
  text-align: center;
  white-space: nowrap;

  &[aria-pressed="true"] {
    background: var(--v-hour-tint);
    border-color: var(--v-hour);
    font-weight: 700;
  }
}
</style>
