<script setup lang="ts">
import { useDebounceFn } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import { useRoute } from "vue-router";
import { countedChildren } from "@/words";
import { makeSheet, previewSheet, Refused, useFacts, type SheetPreview, type SheetSettings } from "@/api";
import { WhatTheyTell } from "@/check";
import { useClasses } from "@/class";
import DialAlone from "./DialAlone.vue";
import PagePreview from "./PagePreview.vue";
import SheetForm from "./SheetForm.vue";

/** Settings left, the page as it will print in the middle, and beside it what the sheet can tell. */
const route = useRoute();
const facts = useFacts();
const classes = useClasses();
const asked = String(route.query.kind ?? "read");
const form = ref<Required<SheetSettings>>({
  kind: asked,
  step: String(route.query.step ?? "quarters"),
  task: route.query.kind ? null : "dial_to_words",
  count: Number(route.query.count) || facts.catalogue?.sheets.find((one) => one.id === asked)?.count || 1,
  seed: Number(route.query.seed) || 1,
  paper: "a4",
  numerals: "all",
  marks: "all",
  minute_numbers: "none",
  halves: false,
  both: false,
  versions: "one",
  names: true,
});
const preview = ref<SheetPreview | null>(null);
const refused = ref<Refused | null>(null);
/** A class's sheets are made in two parts: first the times are chosen, then the pages are drawn. */
const part = ref<"" | "choosing" | "drawing">("");
const file = ref("");
const answers = ref(false);
const made = ref<{ check_id: number; code: string } | null>(null);
const kind = computed(() => facts.catalogue?.sheets.find((one) => one.id === form.value.kind));
const told = computed(() => {
  const children = classes.current?.children.length ?? 0;
  const whose = form.value.versions === "each" ? ` for ${countedChildren(children)}` : "";
  return part.value === "choosing" ? `1 of 2: choosing times${whose}…` : `2 of 2: drawing the pages${whose}…`;
});
const pages = computed(() => (answers.value ? preview.value?.answer_pages : preview.value?.pages) ?? []);
const material = computed(() => {
  const { kind: id, step, count, seed, paper, numerals, marks, minute_numbers, halves } = form.value;
  const query = { kind: id, step, count, seed, paper, numerals, marks, minute_numbers, halves };
  const text = new URLSearchParams(Object.entries(query).map(([key, value]) => [key, String(value)]));
  return `/api/classes/${classes.current?.id}/material.pdf?${text}`;
});

function take(error: unknown): void {
  refused.value = error instanceof Refused ? error : new Refused(null, String(error), 500);
}

let asking = 0;
async function look(): Promise<void> {
  if (!classes.current) return;
  const mine = ++asking;
  try {
    const found = await previewSheet(classes.current.id, form.value);
    if (mine !== asking) return;
    preview.value = found;
    refused.value = null;
    made.value = null;
  } catch (error) {
    if (mine === asking) take(error);
  }
}

const lookSoon = useDebounceFn(look, 150);
watch([form, () => classes.current?.id, () => facts.choices], lookSoon, { deep: true, immediate: true });

async function make(): Promise<void> {
  if (!classes.current) return;
  part.value = "choosing";
  file.value = "";
  try {
    const kept = await makeSheet(classes.current.id, form.value);
    made.value = kept;
    part.value = "drawing";
    const drawn = await fetch(`/api/checks/${kept.check_id}/sheet.pdf`);
    if (!drawn.ok) throw new Refused(null, "The file could not be drawn. Try again.", drawn.status);
    file.value = URL.createObjectURL(await drawn.blob());
    window.open(file.value, "_blank", "noopener");
  } catch (error) {
    take(error);
  } finally {
    part.value = "";
  }
}
</script>

<template>
  <div class="page">
    <p v-if="!classes.current">
      Sheets are made for a class.
      <RouterLink :to="{ name: 'new-class' }">Make one first</RouterLink>
    </p>
    <div v-else class="sheets">
      <h1 class="visually-hidden">Sheets</h1>
      <SheetForm v-model="form" :refused="refused" />
      <section class="middle" aria-label="The page as it will print">
        <div class="head">
          <div class="tabs" role="group" aria-label="What is shown">
            <button type="button" :aria-pressed="!answers" @click="answers = false">Sheet</button>
            <button
              type="button"
              :aria-pressed="answers"
              :disabled="!preview?.answer_pages.length"
              @click="answers = true"
            >
              Answers
            </button>
          </div>
          <BButton v-if="kind?.tasks.length" variant="outline-primary" @click="form.seed += 1">
            <i class="bi bi-arrow-repeat" aria-hidden="true"></i>
            Other times
          </BButton>
          <BButton v-if="kind?.answered" variant="primary" :disabled="part !== '' || !preview" @click="make">
            Make and print
          </BButton>
          <a v-else class="btn btn-primary" :href="material" target="_blank" rel="noopener">Print</a>
        </div>
        <p v-if="part" class="part" role="status">
          <progress :value="part === 'choosing' ? 0.5 : 1.5" max="2" :aria-label="told"></progress>
          {{ told }}
        </p>
        <p v-if="refused" class="field-error" role="alert">{{ refused.message }}</p>
        <p v-if="made" class="made" role="status">
          Made, with the code
          <strong>{{ made.code }}</strong>
          on it.
          <a :href="file || `/api/checks/${made.check_id}/sheet.pdf`" target="_blank" rel="noopener">
            Open the file
          </a>
          ·
          <RouterLink :to="{ name: 'check', params: { id: made.check_id } }">Type its answers in</RouterLink>
        </p>
        <div class="pages">
          <PagePreview
            v-for="(svg, at) in pages"
            :key="at"
            :svg="svg"
            :label="`${answers ? 'Answers' : 'Sheet'}, page ${at + 1}`"
          />
        </div>
      </section>
      <aside>
        <WhatTheyTell v-if="preview?.choice" :choice="preview.choice" />
        <BCard v-else>
          <p class="eyebrow">What this sheet can tell you</p>
          <p class="mb-0">Nothing by itself: it is for doing, not for checking.</p>
        </BCard>
        <DialAlone class="alone" :look="form" />
        <p v-if="form.versions === 'each' && kind?.answered" class="quiet">
          The page shown is the first child's. Every child gets other times, about as hard.
        </p>
      </aside>
    </div>
  </div>
</template>

<style scoped lang="scss">
.sheets {
  display: grid;
  grid-template-columns: 15.5rem minmax(0, 1fr) 17rem;
  gap: 1.75rem;
  align-items: start;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin-bottom: 0.9rem;
}

.tabs {
  display: flex;
  margin-right: auto;
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
  display: grid;
  gap: 1rem;
  max-width: 44rem;
  margin: 0 auto;
}

.part {
  display: flex;
  align-items: center;
  gap: 0.8rem;
}

.made {
  background: var(--v-past);
  border-radius: 0.7rem;
  padding: 0.5rem 1rem;
}

.alone {
  margin-top: 1.25rem;
}

@media (max-width: 60rem) {
  .sheets {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
