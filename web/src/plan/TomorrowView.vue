<script setup lang="ts">
import { computed } from "vue";
import {
  makeStack,
  newSeed,
  readLadder,
  readTomorrow,
  useApiQuery,
  useApiMutation,
  useFacts,
  type Group,
  type Tomorrow,
} from "@/api";
import { StepDial } from "@/dial";
import { useClasses } from "@/school";
import { aboutGroup, NothingYet, printed, usePrinting } from "@/shared";
import { counted, dayWords, moment } from "@/words";
import { useNext } from "./useNext";
import { useNextLesson } from "./useNextLesson";
import WhyPanel from "./WhyPanel.vue";

/** Next lesson as one thing: what it is, who works on what, what lies on paper, and one press to print it all. */
const facts = useFacts();
const classes = useClasses();
const how = usePrinting();
const { data, errorMessage } = useApiQuery(readTomorrow, () => classes.current && [classes.current.id]);
const { data: ladder } = useApiQuery(readLadder, () => classes.current && [classes.current.id]);
const { busy, errorMessage: refused, run } = useApiMutation();
const { rung: proposed, reason: whyNext } = useNext(() => ladder.value);
const reason = computed(() => {
  if (next.value?.how === "planned") return "From your term plan.";
  if (next.value?.how === "late") return "Planned, not taught yet.";
  return proposed.value?.id === next.value?.step ? whyNext.value : "You planned it.";
});

const next = computed(() => data.value?.next);
const stack = computed(() => data.value?.stack);
const rung = computed(() => next.value && facts.rung(next.value.step));
const names = computed(() => new Map(classes.current?.children.map((child) => [child.id, child.name])));
const groups = computed(() => (data.value?.groups ?? []).filter((group) => group.child_ids.length));
const address = (of: NonNullable<Tomorrow["stack"]>): string =>
  printed(`/api/stacks/${of.id}/stack.pdf`, { sides: how.value.sides });

const who = (group: Group): string => group.child_ids.map((id) => names.value.get(id)).join(", ");

/** A window can be opened by a press alone: it is there before the pages are. */
async function print(): Promise<void> {
  const page = window.open("", "_blank");
  const done = await run(async () => {
    if (!classes.current) return;
    const made = await makeStack(classes.current.id, { seed: newSeed() });
    if (page && made.stack) page.location.href = address(made.stack);
  });
  if (!done) page?.close();
}

const openNext = useNextLesson();
const go = (at: "lesson" | "run"): Promise<boolean> =>
  run(async () => {
    if (next.value && classes.current) await openNext(classes.current.id, next.value, at);
  });

const SIDES = [
  { value: "both", text: "on both sides" },
  { value: "one", text: "on one side" },
];
const KINDS = {
  starter: "Starter for all",
  group: "Group",
  alone: "Alone",
  cards: "Cards to match",
  exit: "Exit slips",
};
const numbered = computed(() => {
  const parts = stack.value?.parts ?? [];
  const ofGroups = parts.filter((part) => part.kind === "group");
  return parts.map((part) => ({
    ...part,
    name: part.kind === "group" ? `${KINDS.group} ${ofGroups.indexOf(part) + 1}` : KINDS[part.kind],
  }));
});
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ next ? `For ${dayWords(next.day)}` : "Next lesson" }}</h1>
      <span v-if="classes.current" class="quiet">{{ classes.current.name }}</span>
    </div>
    <NothingYet v-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class to plan a lesson.
    </NothingYet>
    <p v-else-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <p v-else-if="!data" class="quiet" aria-live="polite">Loading…</p>
    <p v-else-if="!next">Every step has been taught. There is no next lesson.</p>
    <div v-else class="abreast abreast-two d-grid gap-4 align-items-start">
      <div class="d-grid gap-3">
        <BCard class="lead">
          <div class="d-flex gap-4 align-items-center">
            <StepDial v-if="rung" class="dial" :step="rung.id" detail="full" />
            <div>
              <h2 class="step m-0">{{ facts.lessonTitle(next) }}</h2>
              <p class="my-2">{{ counted(next.minutes, "minute") }}</p>
              <div class="d-flex flex-wrap gap-2">
                <BButton variant="primary" :disabled="busy" @click="go('run')">Start lesson</BButton>
                <BButton variant="outline-primary" :disabled="busy" @click="go('lesson')">
                  Open lesson
                </BButton>
              </div>
            </div>
          </div>
          <p class="reason mt-3 mb-0">{{ reason }}</p>
          <WhyPanel
            :key="next.step"
            :class-id="classes.current.id"
            :step="next.step"
            :child-ids="[]"
            :about="rung?.name ?? ''"
          />
        </BCard>
        <BCard>
          <h2 class="mt-0">Groups</h2>
          <ol class="groups d-grid gap-2 m-0">
            <li v-for="(group, at) in groups" :key="at">
              <strong>{{ aboutGroup(group, facts) }}</strong>
              <span v-if="group.beside" class="quiet">, on their own</span>
              <span class="who d-block quiet">{{ who(group) }}</span>
              <WhyPanel
                v-if="group.step"
                :key="`${group.step} ${group.child_ids.join()}`"
                :class-id="classes.current.id"
                :step="group.step"
                :child-ids="group.child_ids"
                :about="aboutGroup(group, facts)"
              />
            </li>
          </ol>
          <RouterLink class="d-inline-block mt-2" :to="{ name: 'groups' }">Change groups</RouterLink>
        </BCard>
      </div>
      <BCard class="paper-card">
        <h2 class="mt-0">On paper, in one stack</h2>
        <template v-if="stack">
          <p class="mb-2" role="status">
            {{ counted(stack.paper[how.sides], "sheet") }} of paper, made {{ moment(stack.made_at) }}.
          </p>
          <div class="d-flex flex-wrap gap-2 align-items-center mb-3">
            <BButton variant="primary" :href="address(stack)" target="_blank" rel="noopener">
              <i class="bi bi-printer" aria-hidden="true"></i>
              Print everything
            </BButton>
            <BFormSelect
              v-model="how.sides"
              :options="SIDES"
              class="w-auto"
              aria-label="Sides of the paper"
            />
            <BButton variant="link" :disabled="busy" @click="print">Make stack again</BButton>
          </div>
          <ol class="d-grid gap-2 m-0">
            <li>
              <strong>Cover and lesson page</strong>
              {{ " " }}
              <span class="quiet">for whoever teaches it</span>
            </li>
            <li v-for="(part, at) in numbered" :key="at">
              <strong>{{ part.name }}</strong>
              {{ part.title }}
              <template v-if="part.check_id">
                <span class="quiet">· code {{ part.code }}</span>
                <RouterLink class="ms-2" :to="{ name: 'check', params: { id: part.check_id } }">
                  Enter answers
                  <span class="visually-hidden">: {{ part.name }}</span>
                </RouterLink>
              </template>
            </li>
            <li>
              <strong>Answers</strong>
              {{ " " }}
              <span class="quiet">to everything</span>
            </li>
          </ol>
        </template>
        <template v-else>
          <p>
            You get one file, in the order you hand it out. It has a cover, the lesson page, a starter, a
            sheet for each child, exit slips, and the answers.
          </p>
          <div class="d-flex flex-wrap gap-2 align-items-center">
            <BButton variant="primary" :disabled="busy" @click="print">
              <i class="bi bi-printer" aria-hidden="true"></i>
              {{ busy ? "Making the stack…" : "Print everything" }}
            </BButton>
            <BFormSelect
              v-model="how.sides"
              :options="SIDES"
              class="w-auto"
              aria-label="Sides of the paper"
            />
          </div>
        </template>
        <p v-if="refused" role="alert" class="field-error">{{ refused }}</p>
        <p class="quiet mt-3 mb-0">
          On devices instead:
          <RouterLink :to="{ name: 'new-desk', query: next.lesson_id ? { lesson: next.lesson_id } : {} }">
            start a device session
          </RouterLink>
          when the lesson starts. You see the class code then.
        </p>
      </BCard>
    </div>
  </div>
</template>

<style scoped>
.dial {
  width: 11rem;
  flex: none;
}

.step {
  font-size: 2.2rem;
}

ol {
  padding-left: 1.4rem;
}

@media (max-width: 40rem) {
  .dial {
    width: 7rem;
  }
}
</style>
