<script setup lang="ts">
import { computed } from "vue";
import { readScan, removeScan, stopScan, useApiQuery, useApiMutation, type Scan, type ScanRead } from "@/api";
import { SureButton } from "@/ui";
import { counted, moment } from "@/words";
import OtherPage from "./OtherPage.vue";
import { useClasses } from "@/school";

/** A file: how far it is read, and what a person has to do. */
const props = defineProps<{ scan: Scan }>();
const classes = useClasses();

const running = computed(() => ["coming", "waiting", "reading"].includes(props.scan.state));
const { data: found } = useApiQuery(readScan, () => !running.value && [props.scan.id]);
const { errorMessage, run } = useApiMutation();
const pages = computed(() => Math.max(props.scan.pages, 1));
/** Pages of which the same is to be said are one line: a stack of another school's, or one read twice, is not thirty. */
const MANY = 3;
const BEFORE = "these were read before, so nothing changes.";
const said = ({ state, words }: ScanRead["others"][number]): string => (state === "twice" ? BEFORE : words);
const groups = computed(() => {
  const byWords = new Map<string, ScanRead["others"]>();
  for (const page of found.value?.others ?? [])
    byWords.set(said(page), [...(byWords.get(said(page)) ?? []), page]);
  return [...byWords];
});
const alike = computed(() => groups.value.filter(([, pages]) => pages.length > MANY));
const few = computed(() =>
  groups.value.filter(([, pages]) => pages.length <= MANY).flatMap(([, pages]) => pages),
);
const status = computed(() => {
  const { state, done } = props.scan;
  if (state === "waiting") return "Waiting…";
  return state === "coming" ? "Receiving…" : `Reading page ${done} of ${pages.value}…`;
});
/** A photograph or two say whose they are. */
const gotIt = computed(() => {
  const names = found.value?.children ?? [];
  return names.length && names.length <= MANY ? `Got it: ${names.join(", ")}. ` : "";
});
const result = computed(() => {
  const { answers, alone } = props.scan;
  const paper = found.value?.read ?? 0;
  const look = props.scan.to_look_at ? `, ${props.scan.to_look_at} to check` : "";
  const end = props.scan.state === "stopped" ? " Stopped early." : "";
  return `${gotIt.value}${counted(paper, "page")}, ${alone} of ${counted(answers, "answer")} read${look}.${end}`;
});

/** What is gone is not asked for once more. */
const remove = (): Promise<boolean> =>
  run(async () => {
    await removeScan(props.scan.id);
  });
const change = (what: () => Promise<unknown>): Promise<boolean> =>
  run(async () => {
    await what();
  });
</script>

<template>
  <BCard>
    <div class="d-flex flex-wrap gap-3 align-items-center">
      <div class="me-auto">
        <h2 class="h5 m-0">{{ scan.name }}</h2>
        <span class="quiet">{{ moment(scan.made_at) }}</span>
      </div>
      <template v-if="running">
        <BProgress class="bar" :value="scan.done" :max="pages" aria-label="Pages read" />
        <span role="status">{{ status }}</span>
        <BButton size="sm" variant="outline-primary" @click="change(() => stopScan(scan.id, {}))">
          Stop
        </BButton>
      </template>
      <template v-else>
        <BButton
          v-for="id in scan.to_look_at ? (found?.check_ids ?? []) : []"
          :key="`look ${id}`"
          variant="primary"
          :to="{ name: 'look', params: { id } }"
        >
          Check {{ scan.to_look_at }}
        </BButton>
        <BButton
          v-for="id in found?.check_ids ?? []"
          :key="id"
          variant="outline-primary"
          :to="{ name: 'class', params: { id } }"
        >
          See results
        </BButton>
        <SureButton
          v-if="classes.current?.right !== 'teaching'"
          title="Delete this file?"
          does="Delete file"
          size="sm"
          variant="outline-primary"
          :act="remove"
        >
          Delete
          <template #says>This deletes its pictures. The answers stay.</template>
        </SureButton>
      </template>
    </div>
    <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    <p v-if="scan.state === 'failed'" class="field-error mt-2 mb-0" role="alert">{{ scan.trouble }}</p>
    <template v-else-if="!running">
      <p class="mt-2 mb-0" role="status">
        <strong>{{ result }}</strong>
        <span v-if="found?.missing.length" class="d-block quiet">
          No paper from {{ found.missing.join(", ") }}.
        </span>
      </p>
      <ul v-if="few.length" class="list-unstyled mt-3 mb-0 d-grid gap-3">
        <OtherPage v-for="page in few" :key="page.id" :page="page" @named="change(async () => {})" />
      </ul>
      <details v-for="[words, some] in alike" :key="words" class="mt-3">
        <summary>{{ counted(some.length, "page") }}: {{ words }}</summary>
        <ul class="list-unstyled mt-2 mb-0 d-grid gap-3">
          <OtherPage v-for="page in some" :key="page.id" :page="page" @named="change(async () => {})" />
        </ul>
      </details>
    </template>
  </BCard>
</template>

<style scoped>
.bar {
  width: 10rem;
}
</style>
