<script setup lang="ts">
import { computed } from "vue";
import { readScan, removeScan, stopScan, useAsked, useDoing, type Scan } from "@/api";
import { SureButton } from "@/parts";
import { counted, moment } from "@/words";
import OtherPage from "./OtherPage.vue";
import { useClasses } from "@/school";

/** A file: how far it is read, and what a person has to do. */
const props = defineProps<{ scan: Scan }>();
const classes = useClasses();
const emit = defineEmits<{ changed: [] }>();

const running = computed(() => ["coming", "waiting", "reading"].includes(props.scan.state));
const { data: found, reload } = useAsked("scan", () => !running.value && [props.scan.id], readScan);
const { trouble, doing } = useDoing();
const pages = computed(() => Math.max(props.scan.pages, 1));
const told = computed(() => {
  const { state, done } = props.scan;
  if (state === "waiting") return "Waits for its turn…";
  return state === "coming" ? "Coming in…" : `Reading page ${done} of ${pages.value}…`;
});
const said = computed(() => {
  const { answers, alone } = props.scan;
  const paper = found.value?.read ?? 0;
  const look = props.scan.to_look_at ? `, ${props.scan.to_look_at} to look at` : "";
  const end = props.scan.state === "stopped" ? " Stopped before the end." : "";
  return `${counted(paper, "piece")} of paper, ${alone} of ${counted(answers, "answer")} read${look}.${end}`;
});

const change = (what: () => Promise<unknown>): Promise<boolean> =>
  doing(async () => {
    await what();
    await reload();
    emit("changed");
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
        <span role="status">{{ told }}</span>
        <BButton size="sm" variant="outline-primary" @click="change(() => stopScan(scan.id))">Stop</BButton>
      </template>
      <template v-else>
        <BButton
          v-for="id in scan.to_look_at ? (found?.check_ids ?? []) : []"
          :key="`look ${id}`"
          variant="primary"
          :to="{ name: 'look', params: { id } }"
        >
          Look at {{ scan.to_look_at }}
        </BButton>
        <BButton
          v-for="id in found?.check_ids ?? []"
          :key="id"
          variant="outline-primary"
          :to="{ name: 'class', params: { id } }"
        >
          What the answers say
        </BButton>
        <SureButton
          v-if="classes.current?.right !== 'teaching'"
          title="Remove this file?"
          does="Remove it"
          size="sm"
          variant="outline-primary"
          :act="() => change(() => removeScan(scan.id))"
        >
          Remove
          <template #says>Its pictures go; what was read of it stays among the answers.</template>
        </SureButton>
      </template>
    </div>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <p v-if="scan.state === 'failed'" class="field-error mt-2 mb-0" role="alert">{{ scan.trouble }}</p>
    <template v-else-if="!running">
      <p class="mt-2 mb-0" role="status">
        <strong>{{ said }}</strong>
        <span v-if="found?.missing.length" class="d-block quiet">
          No paper from {{ found.missing.join(", ") }}.
        </span>
      </p>
      <ul v-if="found?.others.length" class="list-unstyled mt-3 mb-0 d-grid gap-3">
        <OtherPage v-for="page in found.others" :key="page.id" :page="page" @named="change(async () => {})" />
      </ul>
    </template>
  </BCard>
</template>

<style scoped>
.bar {
  width: 10rem;
}
</style>
