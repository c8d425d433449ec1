<script setup lang="ts">
import { useLocalStorage } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import type { DayFound, DaysOff } from "@/api";
import { counted, dayWords } from "@/words";

/** What a calendar file has: days off are ticked, days with something on at school are not. What a teacher said of a name holds next time. */
const props = defineProps<{ days: readonly DayFound[] }>();
const emit = defineEmits<{ take: [days: DaysOff[]]; leave: [] }>();

/** Written at once, as this list goes when it is taken. */
const said = useLocalStorage<Record<string, boolean>>("vantick.days-off", {}, { flush: "sync" });
const ticked = ref<boolean[]>([]);
watch(
  () => props.days,
  (days) => (ticked.value = days.map((day) => said.value[day.name] ?? day.likely)),
  { immediate: true },
);
const many = computed(() => ticked.value.filter(Boolean).length);
const span = (day: DayFound): string =>
  day.from === day.to ? dayWords(day.from) : `${dayWords(day.from)} to ${dayWords(day.to)}`;

function take(): void {
  const now = props.days.map((day, at): [string, boolean] => [day.name, ticked.value[at] ?? false]);
  said.value = { ...said.value, ...Object.fromEntries(now.filter(([name]) => name)) };
  emit(
    "take",
    props.days.filter((_, at) => ticked.value[at]).map(({ from, to, name }) => ({ from, to, name })),
  );
}

defineExpose({ take });
</script>

<template>
  <fieldset class="found border rounded-07 p-3 mb-3">
    <legend class="fs-6">Which are days off?</legend>
    <ul class="list-unstyled d-grid gap-1 mb-3">
      <li v-for="(day, at) in days" :key="`${day.from} ${day.name}`">
        <BFormCheckbox v-model="ticked[at]">
          <strong>{{ day.name || "No name" }}</strong>
          <span class="quiet ms-2">{{ span(day) }}</span>
        </BFormCheckbox>
      </li>
    </ul>
    <BButton variant="primary" class="me-2" @click="take">
      {{ many ? `Add ${counted(many, "entry", "entries")}` : "Add none" }}
    </BButton>
    <BButton variant="outline-primary" @click="emit('leave')">Cancel</BButton>
  </fieldset>
</template>

<style scoped>
ul {
  max-height: 20rem;
  overflow: auto;
}
</style>
