<script setup lang="ts">
import { NothingYet } from "@/shared";
import { computed, ref, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import {
  closeDesk,
  listDesks,
  listLessons,
  openDesk,
  readGroups,
  useFacts,
  useApiQuery,
  useApiMutation,
  type Desk,
  type DeskForm,
} from "@/api";

import { SureButton } from "@/ui";
import { useClasses } from "@/school";
import WhoFor from "./WhoFor.vue";
import { titleOfDesk } from "./wording";
import { clock, dayWords, moment } from "@/words";

/** Opens the desks: to find where each child is, for free practice, a stage of a lesson, or its exit; for the class or some of it. */
const route = useRoute();
const router = useRouter();
const facts = useFacts();
const classes = useClasses();

const kind = ref<Desk["kind"]>(
  route.query.kind === "baseline"
    ? "baseline"
    : route.query.check
      ? "exit"
      : route.query.lesson
        ? route.query.stage === "exit"
          ? "exit"
          : "stage"
        : "practice",
);
const step = ref(String(route.query.step ?? ""));
const stage = ref(String(route.query.stage ?? "alone"));
const checkId = Number(route.query.check) || undefined;
const lessonId = ref<number | undefined>(Number(route.query.lesson) || undefined);
const chosen = ref<number[] | null>(
  route.query.children ? String(route.query.children).split(",").map(Number) : null,
);
const { busy, errorMessage: refused, run } = useApiMutation();

const ofClass = (): [number] | null => classes.current && [classes.current.id];
const { data: desks, errorMessage } = useApiQuery(listDesks, ofClass, { select: (found) => found.desks });
const { data: lessons } = useApiQuery(listLessons, ofClass, { select: (found) => found.lessons });
const { data: groups } = useApiQuery(
  readGroups,
  () => classes.current && [classes.current.id, { most: facts.catalogue?.limits.groups }],
  { select: (found) => found.groups },
);
watch(lessons, (found) => (lessonId.value ??= found?.[0]?.id), { immediate: true });
/** A lesson that was planned for some children is for them at the desks as well. */
watch([lessonId, lessons], () => {
  const some =
    kind.value === "practice" || kind.value === "baseline"
      ? null
      : lessons.value?.find((lesson) => lesson.id === lessonId.value)?.child_ids;
  if (some && !chosen.value) chosen.value = [...some];
});
const open = computed(() => desks.value?.filter((desk) => desk.open) ?? []);
const stages = computed(() => facts.catalogue?.desk_stages ?? []);
const children = computed(() => classes.current?.children ?? []);
/** Steps with times of their own. */
const steps = computed(() => facts.catalogue?.ladder.filter((rung) => rung.example) ?? []);

const form = computed<DeskForm>(() => {
  const child_ids = chosen.value;
  if (kind.value === "practice") return { kind: "practice", step: step.value || null, child_ids };
  if (kind.value === "baseline") return { kind: "baseline", child_ids };
  if (checkId && kind.value === "exit") return { kind: "exit", check_id: checkId, child_ids };
  if (kind.value === "exit") return { kind: "exit", lesson_id: lessonId.value, child_ids };
  return { kind: "stage", lesson_id: lessonId.value, stage: stage.value, child_ids };
});

const shut = (id: number): Promise<boolean> =>
  run(async () => {
    await closeDesk(id);
  });

const begin = (): Promise<boolean> =>
  run(async () => {
    if (!classes.current) return;
    const desk = await openDesk(classes.current.id, form.value);
    await router.push({ name: "live-desk", params: { id: desk.id } });
  });
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Answer on devices</h1>
      <div class="actions">
        <BButton variant="outline-primary" :to="{ name: 'keys' }">The children's pictures</BButton>
      </div>
    </div>
    <NothingYet v-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class to use devices.
    </NothingYet>
    <p v-else-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    <template v-else>
      <p
        v-for="desk in open"
        :key="desk.id"
        class="open d-flex flex-wrap align-items-center row-gap-04 column-gap-3 px-11 py-06 rounded-10 on-past"
      >
        {{ titleOfDesk(desk, facts) }}, code
        <strong>{{ desk.code }}</strong>
        <span class="quiet">
          open since {{ moment(desk.opened_at) }}, ends at {{ clock(desk.expires_at) }}
        </span>
        <BButton variant="outline-primary" :to="{ name: 'live-desk', params: { id: desk.id } }">
          Open session
        </BButton>
        <SureButton
          variant="link"
          title="Close for all?"
          does="Close for all"
          :busy="busy"
          :act="() => shut(desk.id)"
        >
          Close
          <template #says>All answers are saved. Children get no more tasks.</template>
        </SureButton>
      </p>
      <form class="abreast abreast-two d-grid row-gap-4 column-gap-5" @submit.prevent="begin">
        <fieldset>
          <legend class="fw-bold">What the children do</legend>
          <div
            class="way border rounded-10 gap-3 mb-2 d-flex px-11 py-08 on-card cursor-pointer"
            :class="{ on: kind === 'baseline' }"
          >
            <BFormRadio v-model="kind" name="kind" value="baseline">
              <span>
                <strong>Find where each child is</strong>
                <span class="quiet d-block">
                  Up to 12 clocks over all steps, about 8 minutes. It ends when a child's place is found.
                </span>
              </span>
            </BFormRadio>
          </div>
          <div
            class="way border rounded-10 gap-3 mb-2 d-flex px-11 py-08 on-card cursor-pointer"
            :class="{ on: kind === 'practice' }"
          >
            <BFormRadio v-model="kind" name="kind" value="practice">
              <span>
                <strong>Free practice</strong>
                <span class="quiet d-block">Ten tasks at a time, each chosen for the child.</span>
              </span>
            </BFormRadio>
          </div>
          <div
            v-if="kind === 'practice'"
            class="mb-3 ms-20 d-grid align-items-center cols-auto-1 row-gap-2 column-gap-3"
          >
            <label for="step">Step</label>
            <BFormSelect id="step" v-model="step">
              <option value="">Each child's own step</option>
              <option v-for="rung in steps" :key="rung.id" :value="rung.id">{{ rung.name }}</option>
            </BFormSelect>
          </div>
          <div
            class="way border rounded-10 gap-3 mb-2 d-flex px-11 py-08 on-card cursor-pointer"
            :class="{ on: kind === 'stage' }"
          >
            <BFormRadio v-model="kind" name="kind" value="stage" :disabled="!lessons?.length">
              <span>
                <strong>Part of a lesson</strong>
                <span class="quiet d-block">
                  Everyone gets the lesson's clocks, with feedback after each answer.
                </span>
              </span>
            </BFormRadio>
          </div>
          <div
            class="way border rounded-10 gap-3 mb-2 d-flex px-11 py-08 on-card cursor-pointer"
            :class="{ on: kind === 'exit' }"
          >
            <BFormRadio v-model="kind" name="kind" value="exit" :disabled="!checkId && !lessons?.length">
              <span>
                <strong>Exit check</strong>
                <span class="quiet d-block">
                  Everyone gets the same clocks, with no feedback until the end.
                </span>
              </span>
            </BFormRadio>
          </div>
          <div
            v-if="kind === 'stage' || (kind === 'exit' && !checkId)"
            class="mb-3 ms-20 d-grid align-items-center cols-auto-1 row-gap-2 column-gap-3"
          >
            <label for="lesson">Lesson</label>
            <BFormSelect id="lesson" v-model="lessonId">
              <option v-for="lesson in lessons" :key="lesson.id" :value="lesson.id">
                {{ facts.rung(lesson.step).name }}, {{ dayWords(lesson.day) }}
              </option>
            </BFormSelect>
            <template v-if="kind === 'stage'">
              <label for="stage">Part</label>
              <BFormSelect id="stage" v-model="stage">
                <option v-for="deskStage in stages" :key="deskStage.id" :value="deskStage.id">
                  {{ deskStage.name }}
                </option>
              </BFormSelect>
            </template>
          </div>
          <p v-if="lessons && !lessons.length && !checkId" class="quiet">
            You need a lesson for this:
            <RouterLink :to="{ name: 'plan' }">plan a lesson</RouterLink>
          </p>
        </fieldset>
        <WhoFor v-model="chosen" :children="children" :groups="groups ?? []" />
        <div class="go col-all">
          <p v-if="refused" class="field-error" role="alert">{{ refused }}</p>
          <BButton type="submit" variant="primary" size="lg" :disabled="busy || chosen?.length === 0">
            Start session
          </BButton>
          <p class="quiet mt-06 mb-0">Children sign in with the class code, their name and three pictures.</p>
        </div>
      </form>
    </template>
  </div>
</template>

<style scoped lang="scss">
legend {
  font-size: 1.15rem;
}
</style>
