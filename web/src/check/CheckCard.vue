<script setup lang="ts">
import { computed } from "vue";
import type { RouteLocationRaw } from "vue-router";
import { useFacts, type CheckSummary } from "@/api";
import { MoreMenu } from "@/ui";
import { counted, moment } from "@/words";

/** A check in one line: what, when, how far it has come, and what is next with it; all else lies behind a press. */
const props = defineProps<{ check: CheckSummary; removable?: boolean; heading?: "h2" | "h3" }>();
defineEmits<{ remove: [] }>();

const facts = useFacts();
/** Practice was given on devices alone: there is nothing to print or to type in. */
const practice = computed(() => facts.ownTasks(props.check));

interface Way {
  text: string;
  to: RouteLocationRaw;
  /** Whether it waits to be done. */
  lead?: boolean;
}
const types = (lead: boolean): Way => ({
  text: "Enter answers",
  to: { name: "check", params: { id: props.check.id } },
  lead,
});

/** All that can be done with it, what fits its state first. */
const ways = computed<Way[]>(() => {
  const { id, desk, answers, answered, children, unreadable } = props.check;
  const found: Way[] = [];
  if (answers) found.push({ text: "Results", to: { name: "class", params: { id } } });
  if (!practice.value) found.push(types(!desk && !answered));
  found.push(
    desk
      ? { text: "See session", to: { name: "live-desk", params: { id: desk.id } } }
      : { text: "Answer on devices", to: { name: "new-desk", query: { check: id } } },
  );
  if (facts.hasSlips(props.check)) found.push({ text: "Slips", to: { name: "slips", params: { id } } });
  const waits = answered > 0 && unreadable > 0 && !desk && answered < children;
  return waits ? [types(true), ...found.filter((way) => way.text !== "Enter answers")] : found;
});
const next = computed(() => ways.value[0] ?? types(false));
const others = computed(() => ways.value.slice(1));
const sheet = computed(() => !practice.value && !facts.hasSlips(props.check));
</script>

<template>
  <article
    class="check border rounded-10 px-125 py-08 d-grid align-items-center row-gap-2 column-gap-4 on-card"
  >
    <div class="what">
      <component :is="heading ?? 'h2'" class="m-0 fs-110">
        <RouterLink class="text-decoration-none" :to="{ name: 'check', params: { id: check.id } }">
          {{ facts.titleOf(check) }}
        </RouterLink>
      </component>
      <span class="quiet">
        {{ moment(check.made_at) }} ·
        <template v-if="practice">
          {{ counted(check.answers, "answer") }}
        </template>
        <template v-else>
          {{ counted(check.items, "clock") }}{{ check.code ? `, code ${check.code}` : "" }}
        </template>
      </span>
    </div>
    <div class="how-far">
      <strong>{{ check.answered }} of {{ check.children }}</strong>
      {{ practice ? "on devices" : check.desk ? "answered" : "entered" }}
      <span v-if="check.unreadable" class="unreadable d-block tone-slip">
        <i class="bi bi-question-diamond" aria-hidden="true"></i>
        {{ check.unreadable }} unreadable
      </span>
    </div>
    <div class="ways d-flex flex-wrap gap-2 justify-self-end">
      <BButton :variant="next.lead ? 'primary' : 'outline-primary'" :to="next.to">{{ next.text }}</BButton>
      <MoreMenu :of="facts.titleOf(check)">
        <BDropdownItem v-for="way in others" :key="way.text" :to="way.to">{{ way.text }}</BDropdownItem>
        <BDropdownItem
          v-if="sheet"
          :href="`/api/checks/${check.id}/sheet.pdf`"
          target="_blank"
          rel="noopener"
        >
          Sheet
        </BDropdownItem>
        <template v-if="removable">
          <BDropdownDivider />
          <BDropdownItemButton role="menuitem" @click="$emit('remove')">Delete</BDropdownItemButton>
        </template>
      </MoreMenu>
    </div>
  </article>
</template>

<style scoped lang="scss">
.check {
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr) minmax(12.5rem, auto);
}

@media (max-width: 48rem) {
  .check {
    grid-template-columns: minmax(0, 1fr);
  }

  .ways {
    justify-self: start;
  }
}
</style>
