<script setup lang="ts">
import { computed } from "vue";
import type { RouteLocationRaw } from "vue-router";
import type { CheckSummary, FirstDay } from "@/api";
import { useClasses } from "@/school";
import { useSession } from "@/account";

/** Getting started in five small steps, which tick themselves off; it can be put away. */
const props = defineProps<{ checks: readonly CheckSummary[] }>();

interface Stage {
  text: string;
  done: boolean;
  to: RouteLocationRaw;
}

const classes = useClasses();
const session = useSession();
const seen = (what: FirstDay[number]): boolean => session.firstDay.includes(what);
const answered = computed(() => props.checks.find((check) => check.answers > 0));
const stages = computed<Stage[]>(() => {
  const first = answered.value ?? props.checks[0];
  const params = first ? { params: { id: first.id } } : {};
  return [
    { text: "Add your class", done: classes.current !== null, to: { name: "new-class" } },
    { text: "Choose how your class tells the time", done: seen("settings"), to: { name: "settings" } },
    { text: "Make a first check", done: props.checks.length > 0, to: { name: "new-check" } },
    {
      text: "Enter their answers",
      done: answered.value !== undefined,
      to: first ? { name: "check", ...params } : { name: "new-check" },
    },
    {
      text: "See the results",
      done: seen("class"),
      to: answered.value ? { name: "class", ...params } : { name: "checks" },
    },
  ];
});
const next = computed(() => stages.value.find((stage) => !stage.done));
</script>

<template>
  <BCard v-if="next && !seen('away')" class="mb-4">
    <div class="d-flex align-items-baseline justify-content-between">
      <h2 class="m-0">Getting started</h2>
      <BButton variant="link" size="sm" @click="session.tick('away')">Hide</BButton>
    </div>
    <ol class="list-unstyled d-flex flex-wrap m-0">
      <li
        v-for="stage in stages"
        :key="stage.text"
        class="py-035"
        :aria-current="stage === next ? 'step' : undefined"
      >
        <i
          class="me-04"
          :class="['bi', stage.done ? 'bi-check-circle-fill done' : 'bi-circle']"
          :aria-label="stage.done ? 'done' : 'to do'"
          role="img"
        ></i>
        <span v-if="stage.done" class="quiet">{{ stage.text }}</span>
        <RouterLink v-else :to="stage.to" :class="{ 'fw-bold': stage === next }">{{ stage.text }}</RouterLink>
      </li>
    </ol>
  </BCard>
</template>

<style scoped>
ol {
  gap: 0.25rem 1.75rem;
}

.done {
  color: var(--v-right);
}
</style>
