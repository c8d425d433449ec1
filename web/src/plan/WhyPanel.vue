<script setup lang="ts">
import { computed, ref } from "vue";
import { readBehind, judgeStep, useApiQuery, useApiMutation, useFacts } from "@/api";
import { DialFace, handsIn } from "@/dial";
import { AnswerShown, VerdictMark, VERDICTS } from "@/shared";
import { moment } from "@/words";

/** Why a step is proposed: the answers behind it, child by child, and what the teacher knows better. */
const props = defineProps<{ classId: number; step: string; childIds: number[]; about: string }>();

const facts = useFacts();
const open = ref(false);
const { data, errorMessage } = useApiQuery(
  readBehind,
  () =>
    open.value && [
      props.classId,
      { step: props.step, ...(props.childIds.length ? { child_ids: props.childIds } : {}) },
    ],
);
const { busy, errorMessage: refused, run } = useApiMutation();
const children = computed(() => data.value?.children ?? []);
const answered = computed(() => children.value.filter((child) => child.answers.length));
const never = computed(() => children.value.filter((child) => !child.answers.length));
/** What was said of all of them alike. */
const said = computed(() => {
  const words = children.value.map((child) => child.said);
  const first = words[0];
  return first && words.every((word) => word?.known === first.known) ? first : null;
});

const when = ({ at, said: words }: { at: string; said: string }): string =>
  handsIn(words) ? moment(at) : `${moment(at)}: ${words}`;

const say = (known: boolean | null): Promise<boolean> =>
  run(async () => {
    await judgeStep(props.classId, { step: props.step, child_ids: props.childIds, known });
  });
</script>

<template>
  <details class="why mt-1" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>
      Why?
      <span class="visually-hidden">{{ about }}</span>
    </summary>
    <p v-if="errorMessage || refused" role="alert" class="field-error">{{ errorMessage || refused }}</p>
    <p v-if="!data && !errorMessage" class="quiet m-0" aria-live="polite">Loading…</p>
    <div v-if="data" class="d-grid gap-2 mt-2">
      <div class="d-flex flex-wrap align-items-center gap-2">
        <template v-if="said">
          <span role="status">
            You said {{ moment(said.said_at) }}: {{ said.known ? "they know this" : "not yet" }}.
          </span>
          <BButton variant="link" size="sm" :disabled="busy" @click="say(null)">
            <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
            Undo
          </BButton>
        </template>
        <template v-else>
          <BButton variant="outline-primary" size="sm" :disabled="busy" @click="say(true)">
            They know this
          </BButton>
          <BButton variant="outline-primary" size="sm" :disabled="busy" @click="say(false)">Not yet</BButton>
          <span class="quiet fs-90">Later answers can change it.</span>
        </template>
      </div>
      <ul v-if="answered.length" class="list-none m-0 p-0 d-grid gap-1">
        <li v-for="child in answered" :key="child.child_id" class="d-grid gap-2">
          <RouterLink class="name" :to="{ name: 'child', params: { child: child.child_id } }">
            {{ child.name }}
          </RouterLink>
          <span class="d-flex flex-wrap gap-2">
            <span
              v-for="(answer, at) in child.answers"
              :key="at"
              class="d-inline-flex align-items-center gap-1"
              :title="when(answer)"
            >
              <DialFace class="clock" :facts="facts.of(answer.time)" detail="small" />
              <VerdictMark :verdict="answer.right ? 'right' : answer.verdict" quiet />
              <span v-if="!answer.right" class="fs-85">
                <AnswerShown :answer="answer.said || VERDICTS[answer.verdict].word" />
              </span>
            </span>
          </span>
        </li>
      </ul>
      <p v-if="never.length" class="quiet m-0">
        Not asked yet: {{ never.map((child) => child.name).join(", ") }}.
      </p>
    </div>
  </details>
</template>

<style scoped>
li {
  grid-template-columns: 6rem minmax(0, 1fr);
}

.clock {
  width: 2rem;
}
</style>
