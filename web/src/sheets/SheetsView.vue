<script setup lang="ts">
import { refDebounced, useObjectUrl, useSessionStorage } from "@vueuse/core";
import { computed, nextTick, ref, shallowRef, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import { countedChildren } from "@/words";
import {
  makeSheet,
  previewSheet,
  Refused,
  useApiQuery,
  useApiMutation,
  useFacts,
  type SheetSettings,
} from "@/api";
import { NothingYet, LeftToWrite, PagePreview, PrintHow, printed, usePrinting, WhatTheyTell } from "@/shared";
import { useClasses } from "@/school";
import DialAlone from "./DialAlone.vue";
import SheetForm from "./SheetForm.vue";

/** Settings left, the page as it will print in the middle, and beside it what the sheet can tell. */
const route = useRoute();
const router = useRouter();
const facts = useFacts();
const classes = useClasses();
const USUAL: Required<SheetSettings> = {
  kind: "read",
  step: "quarters",
  task: "dial_to_words",
  count: null,
  seed: 1,
  lines: "plain",
  cards: "digits",
  levels: "record",
  level_of: [],
  help: "none",
  paper: facts.catalogue?.english.paper ?? "a4",
  numerals: "all",
  marks: "all",
  minute_numbers: "none",
  halves: false,
  both: false,
  versions: "one",
  own_pages: true,
  names: true,
  child_ids: null,
  misreading: null,
};
const how = usePrinting();
/** New clocks at each visit. */
const fresh = (): number => Math.floor(Math.random() * 1_000_000);
/** What was settled last in this tab; a link to a sheet says its kind and step anew. */
const form = useSessionStorage<Required<SheetSettings>>(
  "vantick.sheet",
  { ...USUAL },
  { mergeDefaults: true },
);
/** A game that is printed and called out has its set until another is asked for. */
const isKeyed = (id: string): boolean =>
  Boolean(facts.catalogue?.sheets.some((sheet) => sheet.id === id && sheet.keyed));
if (!isKeyed(form.value.kind)) form.value.seed = fresh();
const asked = route.query.kind && facts.catalogue?.sheets.find((sheet) => sheet.id === route.query.kind);
if (asked) {
  const step = facts.nearestStep(String(route.query.step ?? form.value.step), asked.steps);
  form.value = {
    ...form.value,
    kind: asked.id,
    step,
    task: asked.tasks.find((task) => task.steps.includes(step))?.id ?? null,
    count: Number(route.query.count) || null,
    seed: Number(route.query.seed) || form.value.seed,
    child_ids: route.query.children ? String(route.query.children).split(",").map(Number) : null,
  };
  void router.replace({ query: { class: route.query.class } });
}
/** The children of a group, where it is not for the whole class. */
const some = computed(() => {
  const ids = form.value.child_ids;
  return ids ? (classes.current?.children ?? []).filter((child) => ids.includes(child.id)) : null;
});
watch(
  () => classes.current?.id,
  () => some.value?.length === 0 && (form.value.child_ids = null),
  { immediate: true },
);
/** A class's sheets are made in two parts: first the times are chosen, then the pages are drawn. */
const part = ref<"" | "choosing" | "drawing">("");
const drawn = shallowRef<Blob>();
const file = useObjectUrl(drawn);
const answers = ref(false);
const made = ref<{ check_id: number; code: string } | null>(null);
const kind = computed(() => facts.catalogue?.sheets.find((sheet) => sheet.id === form.value.kind));
const progressWords = computed(() => {
  const children = (some.value ?? classes.current?.children ?? []).length;
  const whose = form.value.versions === "each" ? ` for ${countedChildren(children)}` : "";
  return part.value === "choosing" ? `1 of 2: choosing times${whose}…` : `2 of 2: making the pages${whose}…`;
});
const pages = computed(() => (answers.value ? preview.value?.answer_pages : preview.value?.pages) ?? []);
/** Of a game, whose near misses are in it: the same for the paper and for calling out. */
const nearMiss = computed(() => (kind.value?.game ? (preview.value?.misreading ?? "none") : ""));
const calls = computed(() => ({
  kind: form.value.kind,
  step: form.value.step,
  seed: form.value.seed,
  count: preview.value?.count,
  misreading: nearMiss.value,
}));
const material = computed(() => {
  const { kind: id, step, seed, paper, numerals, marks, minute_numbers, halves, cards } = form.value;
  const query = {
    kind: id,
    step,
    seed,
    paper,
    numerals,
    marks,
    minute_numbers,
    halves,
    cards,
    misreading: nearMiss.value,
    count: form.value.count ?? "",
  };
  const set = Object.entries(query).filter(([, value]) => value !== "");
  const text = Object.fromEntries(set.map(([key, value]) => [key, String(value)]));
  return printed(`/api/classes/${classes.current?.id}/material.pdf`, { sides: how.value.sides }, text);
});

const settled = refDebounced(
  computed(() => ({ ...form.value })),
  150,
);
/** The page as it would print; while another is drawn the last one stands. */
const {
  data: preview,
  refused: notDrawn,
  reload: drawAgain,
} = useApiQuery(previewSheet, () => classes.current && [classes.current.id, settled.value], {
  meanwhile: true,
});
watch(() => facts.choices, drawAgain);
const { refused: notMade, run } = useApiMutation();
const refused = computed(() => notMade.value ?? notDrawn.value);
const sheetOf = (id: number): string => printed(`/api/checks/${id}/sheet.pdf`, how.value);
watch(how, () => (drawn.value = undefined), { deep: true });

/** What was made, as it was settled then: a second press opens it again. */
const madeFrom = ref("");
const again = computed(() => Boolean(made.value) && madeFrom.value === JSON.stringify(form.value));

async function make(): Promise<void> {
  if (!classes.current || part.value) return;
  // A window that is asked for later than the press is one that browsers do not open.
  const tab = window.open("", "_blank");
  if (tab) tab.document.title = "Making the sheet…";
  const classId = classes.current.id;
  const done = await run(async () => {
    if (!again.value || !made.value) await keep(classId);
    if (!drawn.value) await draw();
    if (tab) tab.location.href = file.value ?? "";
  });
  if (!done) tab?.close();
  part.value = "";
}

async function keep(classId: number): Promise<void> {
  part.value = "choosing";
  drawn.value = undefined;
  const settled = JSON.stringify(form.value);
  made.value = await makeSheet(classId, form.value);
  madeFrom.value = settled;
}

async function draw(): Promise<void> {
  part.value = "drawing";
  const answer = await fetch(sheetOf(made.value?.check_id ?? 0));
  if (!answer.ok) throw new Refused(null, "The file could not be made. Try again.", answer.status);
  drawn.value = await answer.blob();
  await nextTick();
}
</script>

<template>
  <div class="page">
    <NothingYet v-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class to make sheets.
    </NothingYet>
    <div v-else class="sheets abreast d-grid align-items-start">
      <h1 class="visually-hidden">Sheets</h1>
      <SheetForm v-model="form" :refused="refused" :preview="preview" />
      <section class="middle" aria-label="Preview">
        <p v-if="some?.length" class="quiet">
          For {{ some.map((child) => child.name).join(", ") }}.
          <BButton variant="link" size="sm" @click="form.child_ids = null">For the whole class</BButton>
        </p>
        <div class="d-flex flex-wrap gap-2 mb-3">
          <BButtonGroup class="tabs d-flex me-auto" aria-label="Preview shows">
            <BButton variant="bare" :aria-pressed="!answers" @click="answers = false">Sheet</BButton>
            <BButton
              variant="bare"
              :aria-pressed="answers"
              :disabled="!preview?.answer_pages.length"
              @click="answers = true"
            >
              {{ kind?.keyed ? "Key" : "Answers" }}
            </BButton>
          </BButtonGroup>
          <BButton
            v-if="kind?.tasks.length || kind?.id === 'stories'"
            variant="outline-primary"
            @click="form.seed = fresh()"
          >
            <i class="bi bi-arrow-repeat" aria-hidden="true"></i>
            {{ kind.id === "stories" ? "New stories" : "New clocks" }}
          </BButton>
          <BButton v-if="kind?.answered" variant="primary" :disabled="part !== '' || !preview" @click="make">
            {{ again ? "Open again" : "Make and print" }}
          </BButton>
          <template v-else>
            <BButton
              v-if="kind?.game && preview"
              variant="outline-primary"
              :to="{ name: 'call-out', query: calls }"
            >
              Call out
            </BButton>
            <BButton variant="primary" :href="material" target="_blank" rel="noopener">Print</BButton>
          </template>
        </div>
        <p v-if="part" class="part d-flex align-items-center gap-08" role="status">
          <BProgress
            class="bar"
            :value="part === 'choosing' ? 0.5 : 1.5"
            :max="2"
            :aria-label="progressWords"
          />
          {{ progressWords }}
        </p>
        <div class="d-flex flex-wrap gap-2 mb-3 justify-content-end">
          <PrintHow
            v-if="preview"
            :paper="preview.paper"
            :answered="kind?.answered ?? false"
            :keyed="kind?.keyed"
          />
        </div>
        <LeftToWrite v-if="preview" :names="preview.unprintable" />
        <p v-if="refused && refused.field !== 'count'" class="field-error" role="alert">
          {{ refused.message }}
        </p>
        <p v-if="made && again" class="made on-past rounded-07 px-3 py-2" role="status">
          Made. Code:
          <strong>{{ made.code }}</strong>
          ·
          <a :href="file || sheetOf(made.check_id)" target="_blank" rel="noopener">Open file</a>
          ·
          <a
            v-if="form.versions === 'one'"
            :href="`/api/checks/${made.check_id}/sheet.pdf?part=sheets&spare=true`"
            target="_blank"
            rel="noopener"
          >
            Spare slip
          </a>
          <template v-if="form.versions === 'one'">·</template>
          <RouterLink :to="{ name: 'check', params: { id: made.check_id } }">Enter answers</RouterLink>
        </p>
        <div class="pages d-grid gap-3 mx-auto my-0">
          <PagePreview
            v-for="(svg, at) in pages"
            :key="at"
            :svg="svg"
            :label="`${answers ? (kind?.keyed ? 'Key' : 'Answers') : 'Sheet'}, page ${at + 1}`"
          />
        </div>
      </section>
      <aside>
        <WhatTheyTell v-if="preview?.choice" :choice="preview.choice" />
        <BCard v-else>
          <p class="eyebrow">What this sheet can show</p>
          <p class="mb-0">
            {{
              kind?.keyed
                ? "This is for practice. Its key is on the last page."
                : "This sheet is for practice. It has no answers to mark."
            }}
          </p>
        </BCard>
        <DialAlone class="mt-125" :look="form" />
        <p v-if="form.versions === 'each' && kind?.answered" class="quiet">
          You see the first child's page. Every child gets different clocks, about as hard.
        </p>
      </aside>
    </div>
  </div>
</template>

<style scoped lang="scss">
.sheets {
  --abreast: 15.5rem minmax(0, 1fr) 17rem;

  gap: 1.75rem;
}

.tabs {
  background: var(--v-shade);
  border-radius: 2rem;
  padding: 0.2rem;

  button {
    border: 0;
    border-radius: 2rem;
    background: none;
    font: inherit;
    padding: 0.2rem 1.2rem;

    &[aria-pressed="true"] {
      background: var(--v-card);
    }

    &:disabled {
      opacity: 0.5;
    }
  }
}

.pages {
  max-width: 44rem;
}

.bar {
  width: 12rem;
}
</style>
