<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Refused, type SheetPreview, type SheetSettings } from "@/api";

/** What a sheet is: its kind, its step, what the dials wear, and for whom. */
const props = defineProps<{ refused: Refused | null; preview: SheetPreview | null }>();
const form = defineModel<Required<SheetSettings>>({ required: true });

const facts = useFacts();
const kind = computed(() => facts.catalogue?.sheets.find((sheet) => sheet.id === form.value.kind));
const steps = computed(
  () => facts.catalogue?.ladder.filter((rung) => kind.value?.steps.includes(rung.id)) ?? [],
);
const NUMERALS = { all: "all", quarters: "quarters only", none: "none", roman: "Roman" };
const MARKS = { all: "all", fives: "fives", none: "none" };
/** Kinds of sheet whose clocks can have help on them. */
const HELPED = ["read", "draw"];
const HELP = [
  { value: 1, text: "help on all" },
  { value: 2, text: "help on half" },
  { value: 3, text: "no help" },
];
const MINUTES = { none: "none", round: "0 to 55 round", both_sides: "down both sides" };

/** What the step can be asked with. */
const tasks = computed(() => kind.value?.tasks.filter((task) => task.steps.includes(form.value.step)) ?? []);

/** As many as were asked for; otherwise the usual number, which the server knows. */
const count = computed({
  get: () => form.value.count ?? props.preview?.count ?? kind.value?.count ?? null,
  set: (wanted) => (form.value = { ...form.value, count: typeof wanted === "number" ? wanted : null }),
});
const howMany = computed(() => {
  if (form.value.kind === "levels") return "How many per level";
  return kind.value?.game ? "How many clocks" : "How many";
});
const notSoMany = computed(() => (props.refused?.field === "count" ? props.refused : null));
/** What a page holds, where it is said of exercises and would help. */
const perPage = computed(() => {
  const holds = props.preview?.per_page ?? 0;
  return form.value.kind !== "slips" && holds > 1 && (count.value ?? 0) % holds ? holds : 0;
});
const levels = computed(() => props.preview?.levels ?? []);
/** The class's commonest mistake, until another is chosen. */
const nearMiss = computed({
  get: () => form.value.misreading ?? props.preview?.misreading ?? "none",
  set: (misreading) => (form.value = { ...form.value, misreading }),
});
const MOST_SET = 999_999;
/** The number by which a game is made again. */
const set = computed({
  get: () => form.value.seed,
  set: (seed) => {
    if (typeof seed === "number" && seed >= 0 && seed <= MOST_SET) form.value = { ...form.value, seed };
  },
});

function setLevel(child_id: number, level: number): void {
  const others = form.value.level_of.filter((level) => level.child_id !== child_id);
  form.value = { ...form.value, level_of: [...others, { child_id, level }] };
}

/** Another kind has other tasks, another number, and perhaps other steps. */
function choose(id: string): void {
  const chosen = facts.catalogue?.sheets.find((sheet) => sheet.id === id);
  if (!chosen) return;
  const step = facts.nearestStep(form.value.step, chosen.steps);
  const task = firstTask(chosen.tasks, step);
  form.value = { ...form.value, kind: id, task, count: null, step, misreading: null };
}

const firstTask = (from: readonly { id: string; steps: string[] }[], step: string): string | null =>
  from.find((task) => task.steps.includes(step))?.id ?? null;

function climb(step: string): void {
  const now = kind.value?.tasks.find((task) => task.id === form.value.task);
  const task = now?.steps.includes(step) ? now.id : firstTask(kind.value?.tasks ?? [], step);
  form.value = { ...form.value, step, task, count: null };
}
</script>

<template>
  <form class="d-grid gap-2 align-content-start" @submit.prevent>
    <fieldset class="d-grid gap-1">
      <legend class="m-0">Kind</legend>
      <div
        v-for="sheet in facts.catalogue?.sheets"
        :key="sheet.id"
        class="kind d-flex align-items-center rounded-06 tone-ink fs-100 cursor-pointer"
        :class="{ on: sheet.id === form.kind }"
      >
        <BFormRadio
          name="kind"
          :model-value="form.kind"
          :value="sheet.id"
          @update:model-value="choose(sheet.id)"
        >
          {{ sheet.name }}
        </BFormRadio>
      </div>
    </fieldset>
    <label v-if="steps.length > 1">
      Step
      <BFormSelect size="sm" :model-value="form.step" @update:model-value="climb(String($event))">
        <option v-for="step in steps" :key="step.id" :value="step.id">{{ step.name }}</option>
      </BFormSelect>
    </label>
    <label v-if="tasks.length > 1">
      Task
      <BFormSelect v-model="form.task" size="sm">
        <option v-for="task in tasks" :key="task.id" :value="task.id">{{ task.name }}</option>
      </BFormSelect>
    </label>
    <div v-if="kind?.tasks.length || kind?.keyed" class="two d-grid gap-2">
      <label>
        {{ howMany }}
        <BFormInput
          v-model.number="count"
          size="sm"
          type="number"
          :min="kind.least"
          :max="kind.most"
          :state="notSoMany ? false : null"
        />
      </label>
      <label>
        Paper
        <BFormSelect v-model="form.paper" size="sm">
          <option value="a4">A4</option>
          <option value="letter">Letter</option>
        </BFormSelect>
      </label>
    </div>
    <p v-if="notSoMany" class="field-error m-0" role="alert">
      {{ notSoMany.message }}
      <BButton
        v-if="notSoMany.nearest"
        variant="link"
        size="sm"
        class="p-0"
        @click="count = notSoMany.nearest"
      >
        Take {{ notSoMany.nearest }}
      </BButton>
    </p>
    <p v-else-if="perPage" class="quiet m-0">A page holds {{ perPage }}.</p>
    <template v-if="kind?.game">
      <p v-if="form.kind === 'bingo'" class="quiet m-0">A card for each child, and a key for you.</p>
      <label v-if="preview?.mistakes.length">
        Near misses
        <BFormSelect v-model="nearMiss" size="sm">
          <option v-for="id in preview.mistakes" :key="id" :value="id">
            {{ facts.misreading(id).name }}
          </option>
          <option value="none">of any mistake</option>
        </BFormSelect>
      </label>
      <label>
        Set
        <BFormInput v-model.number="set" size="sm" type="number" min="0" :max="MOST_SET" />
      </label>
    </template>
    <label v-if="form.kind === 'cards' || (kind?.game && form.kind !== 'bingo')">
      Next to the clocks
      <BFormSelect v-model="form.cards" size="sm">
        <option value="digits">digits</option>
        <option value="words">words</option>
        <option value="both">digits and words</option>
      </BFormSelect>
    </label>
    <template v-if="form.kind === 'levels'">
      <BFormCheckbox
        :model-value="form.levels === 'all'"
        switch
        @update:model-value="form.levels = $event ? 'all' : 'record'"
      >
        All levels for everyone
      </BFormCheckbox>
      <details v-if="levels.length">
        <summary>Choose each child's level of help</summary>
        <label v-for="child in levels" :key="child.child_id" class="level d-flex gap-2 align-items-center">
          <span class="me-auto text-truncate">{{ child.name }}</span>
          <BFormSelect
            size="sm"
            class="w-auto"
            :model-value="child.level"
            :options="HELP"
            @update:model-value="setLevel(child.child_id, Number($event))"
          />
        </label>
      </details>
    </template>
    <BFormCheckbox
      v-if="form.task === 'dial_to_words' && form.kind === 'read'"
      v-model="form.both"
      switch
      :unchecked-value="false"
    >
      In digits too
    </BFormCheckbox>
    <template v-if="kind?.answered">
      <BFormCheckbox
        :model-value="form.versions === 'each'"
        switch
        @update:model-value="form.versions = $event ? 'each' : 'one'"
      >
        Different clocks for each child
      </BFormCheckbox>
      <template v-if="form.versions === 'one' && form.kind !== 'slips'">
        <BFormCheckbox v-model="form.own_pages" switch :unchecked-value="false">
          A page for each child, with their name
        </BFormCheckbox>
        <p v-if="!form.own_pages" class="quiet mb-0">
          This is one page to copy. Read from paper, Vantick asks whose each page is.
        </p>
      </template>
      <p v-if="form.versions === 'each'" class="quiet mb-0">
        A quarter of each child's clocks review what they may be forgetting.
      </p>
      <BFormCheckbox
        v-if="form.versions === 'each' && HELPED.includes(form.kind)"
        :model-value="form.help === 'record'"
        switch
        @update:model-value="form.help = $event ? 'record' : 'none'"
      >
        Help on the clock for those who need it
      </BFormCheckbox>
      <p v-if="form.versions === 'each' && form.help === 'record'" class="quiet mb-0">
        They get fewer clocks. The hour is shaded and minutes are numbered. Right answers count for less
        there.
      </p>
      <BFormCheckbox
        v-if="form.versions === 'each' || form.kind === 'slips'"
        v-model="form.names"
        switch
        :unchecked-value="false"
      >
        Print names
      </BFormCheckbox>
    </template>
    <BFormCheckbox
      v-if="kind?.answered"
      :model-value="form.lines === 'dotted'"
      switch
      @update:model-value="form.lines = $event ? 'dotted' : 'plain'"
    >
      Dotted midline for handwriting
    </BFormCheckbox>
    <fieldset class="d-grid gap-1">
      <legend class="m-0">The clocks</legend>
      <label>
        Numbers
        <BFormSelect v-model="form.numerals" size="sm">
          <option v-for="(name, id) in NUMERALS" :key="id" :value="id">{{ name }}</option>
        </BFormSelect>
      </label>
      <label>
        Marks
        <BFormSelect v-model="form.marks" size="sm">
          <option v-for="(name, id) in MARKS" :key="id" :value="id">{{ name }}</option>
        </BFormSelect>
      </label>
      <label v-if="!kind?.game">
        Minute numbers
        <BFormSelect v-model="form.minute_numbers" size="sm">
          <option v-for="(name, id) in MINUTES" :key="id" :value="id">{{ name }}</option>
        </BFormSelect>
      </label>
      <BFormCheckbox v-model="form.halves" switch :unchecked-value="false">Shade the left half</BFormCheckbox>
    </fieldset>
  </form>
</template>

<style scoped lang="scss">
legend {
  font-size: 0.95rem;
  color: var(--v-quiet);
}

label {
  display: block;
  font-size: 0.95rem;
  color: var(--v-quiet);
}

.level {
  display: flex;
}

.kind {
  gap: 0.55rem;
  padding: 0.12rem 0.55rem;

  &.on {
    background: var(--v-hour-tint);
  }

  &:hover {
    background: var(--v-shade);
  }
}

.two {
  grid-template-columns: 1fr 1fr;
}
</style>
