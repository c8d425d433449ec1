<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { useFacts, type Ladder, type TermChange, type TermLesson } from "@/api";
import { StepDial } from "@/dial";
import { shortDay } from "@/words";
import { focusWords, kindWords, recapWords, whichLesson } from "./words";

/** One lesson of the term: what it is about, what it goes over first, and what can be done with it. */
const props = defineProps<{
  lesson: TermLesson;
  lessons: TermLesson[];
  ladder: Ladder | null;
  busy: boolean;
  wrong: string;
}>();
const emit = defineEmits<{ change: [change: TermChange]; open: [] }>();

const facts = useFacts();
const rung = computed(() => (props.lesson.step ? facts.rung(props.lesson.step) : null));
const standing = (step: string) => props.ladder?.steps.find((rung) => rung.id === step);
const which = computed(() => whichLesson(props.lessons, standing).get(props.lesson.day));
const focus = computed(() =>
  focusWords(props.lesson, props.lessons, props.lesson.step ? standing(props.lesson.step) : undefined, facts),
);
const others = computed(() =>
  props.lessons.filter(
    (lesson) => !lesson.over && lesson.day !== props.lesson.day && lesson.kind !== "skipped",
  ),
);
const at = computed(() => others.value.findIndex((other) => other.day > props.lesson.day));
const later = computed(() => (at.value < 0 ? undefined : others.value[at.value]));
const earlier = computed(() => others.value[(at.value < 0 ? others.value.length : at.value) - 1]);
const steps = computed(() => facts.catalogue?.ladder.filter((rung) => rung.tasks.length > 0) ?? []);
const to = ref("");
const step = ref("");
watch(
  () => props.lesson.day,
  () => ([to.value, step.value] = ["", ""]),
);
const does = (kind: TermChange["kind"], more: Partial<TermChange> = {}): void =>
  emit("change", { kind, day: props.lesson.day, ...more });
</script>

<template>
  <BCard class="lesson-card">
    <p class="eyebrow">{{ shortDay(lesson.day) }}, {{ lesson.minutes }} minutes, {{ which }}</p>
    <div class="d-flex gap-3 align-items-center">
      <StepDial v-if="rung" class="big" :step="rung.id" detail="full" />
      <h2 class="fs-160">
        {{ rung?.name ?? (lesson.kind === "open" ? "Spare" : "No lesson") }}
      </h2>
    </div>
    <p v-if="lesson.kind === 'open'" class="quiet mb-2">For a lesson that falls out before.</p>
    <p v-if="focus" class="mb-2">{{ focus }}</p>
    <p v-if="wrong" role="alert" class="field-error">{{ wrong }}</p>
    <template v-if="lesson.recap.length">
      <p class="quiet mb-1">Starts by reviewing</p>
      <ul class="recap ps-12">
        <li v-for="id in lesson.recap" :key="id">{{ recapWords(id, standing(id), facts) }}</li>
      </ul>
    </template>
    <p v-if="lesson.kind === 'baseline'" class="mb-2">
      It ends with one page that finds out where each child is. The plan then starts from there.
      <RouterLink :to="{ name: 'sheets', query: { kind: 'baseline' } }">Print the page</RouterLink>
    </p>
    <p v-else-if="lesson.check" class="mb-2">It ends with a check. The answers may change what comes next.</p>
    <p v-if="lesson.over && lesson.given" class="quiet mb-2">Taught: {{ facts.rung(lesson.given).name }}.</p>
    <div v-if="lesson.over" class="d-flex flex-wrap gap-2">
      <BButton
        v-if="lesson.lesson_id"
        variant="outline-primary"
        :to="{ name: 'lesson', params: { id: lesson.lesson_id } }"
      >
        Open lesson
      </BButton>
      <BButton
        v-if="lesson.step && !lesson.given"
        variant="outline-primary"
        :disabled="busy"
        @click="does('skip')"
      >
        It didn't happen
      </BButton>
    </div>
    <template v-else>
      <BButton v-if="lesson.step" variant="primary" :disabled="busy" @click="$emit('open')">
        {{ lesson.lesson_id ? "Open lesson" : "Plan lesson" }}
      </BButton>
      <div class="d-flex flex-wrap gap-2 my-3">
        <BButton
          v-if="lesson.kind === 'skipped'"
          variant="outline-primary"
          size="sm"
          :disabled="busy"
          @click="does('hold')"
        >
          Teach it after all
        </BButton>
        <template v-else>
          <BButton
            v-if="lesson.settled === 'pinned'"
            variant="outline-primary"
            size="sm"
            :disabled="busy"
            @click="does('unpin')"
          >
            Unpin
          </BButton>
          <BButton v-else variant="outline-primary" size="sm" :disabled="busy" @click="does('pin')">
            Pin to this day
          </BButton>
          <BButton
            v-if="earlier"
            variant="outline-primary"
            size="sm"
            :disabled="busy"
            @click="does('move', { to: earlier.day })"
          >
            Earlier
          </BButton>
          <BButton
            v-if="later"
            variant="outline-primary"
            size="sm"
            :disabled="busy"
            @click="does('move', { to: later.day })"
          >
            Later
          </BButton>
          <BButton variant="outline-primary" size="sm" :disabled="busy" @click="does('skip')">
            No lesson that day
          </BButton>
          <BButton variant="outline-primary" size="sm" :disabled="busy" @click="does('skip_week')">
            No lessons that week
          </BButton>
        </template>
      </div>
      <div v-if="lesson.kind !== 'skipped'" class="d-grid gap-2">
        <BFormGroup label="Move or swap" label-for="move-to">
          <div class="d-flex flex-wrap gap-2">
            <BFormSelect id="move-to" v-model="to">
              <option value="">Choose a day</option>
              <option v-for="other in others" :key="other.day" :value="other.day">
                {{ shortDay(other.day) }}: {{ other.step ? facts.rung(other.step).name : kindWords(other) }}
              </option>
            </BFormSelect>
            <BButton
              variant="outline-primary"
              size="sm"
              :disabled="busy || !to"
              @click="does('move', { to })"
            >
              Move
            </BButton>
            <BButton
              variant="outline-primary"
              size="sm"
              :disabled="busy || !to"
              @click="does('swap', { to })"
            >
              Swap
            </BButton>
          </div>
        </BFormGroup>
        <BFormGroup label="Change step" label-for="set-step">
          <div class="d-flex flex-wrap gap-2">
            <BFormSelect id="set-step" v-model="step">
              <option value="">Another step</option>
              <option v-for="choice in steps" :key="choice.id" :value="choice.id">{{ choice.name }}</option>
            </BFormSelect>
            <BButton
              variant="outline-primary"
              size="sm"
              :disabled="busy || !step"
              @click="does('set', { step })"
            >
              Set
            </BButton>
          </div>
        </BFormGroup>
      </div>
    </template>
  </BCard>
</template>

<style scoped lang="scss">
.big {
  width: 6.5rem;
  flex: none;
}

select {
  width: auto;
  max-width: 16rem;
}
</style>
