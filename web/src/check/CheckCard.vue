<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type CheckSummary } from "@/api";

import { counted, moment } from "@/words";

/** A check in one line: what, when, how far it has come, and where to go from here. */
const props = defineProps<{ check: CheckSummary; removable?: boolean }>();
defineEmits<{ remove: [] }>();

const facts = useFacts();
/** What was printed and is not typed in yet. */
const unfinished = computed(() => !props.check.desk && props.check.answered === 0);
/** Practice was given on devices alone: there is nothing to print or to type in. */
const practice = computed(() => props.check.desk?.kind === "practice");
</script>

<template>
  <article
    class="check border rounded-10 px-125 py-08 d-grid align-items-center row-gap-2 column-gap-4 on-card"
  >
    <div class="what">
      <h3 class="m-0 fs-110">
        <RouterLink class="text-decoration-none" :to="{ name: 'check', params: { id: check.id } }">
          {{ facts.titleOf(check) }}
        </RouterLink>
      </h3>
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
      {{ practice ? "at the desks" : check.desk ? "answered" : "typed in" }}
      <span v-if="check.unreadable" class="unreadable d-block tone-slip">
        <i class="bi bi-question-diamond" aria-hidden="true"></i>
        {{ check.unreadable }} could not be read
      </span>
    </div>
    <div class="ways d-flex flex-wrap gap-2 justify-self-end">
      <BButton
        v-if="check.desk"
        variant="outline-primary"
        :to="{ name: 'live-desk', params: { id: check.desk.id } }"
      >
        At the desks
      </BButton>
      <BButton
        v-else
        variant="outline-primary"
        :to="{ name: 'new-desk', query: { check: check.id } }"
        title="Children answer it on devices"
      >
        To the desks
      </BButton>
      <BButton
        v-if="facts.hasSlips(check)"
        variant="outline-primary"
        :to="{ name: 'slips', params: { id: check.id } }"
      >
        Slips
      </BButton>
      <BButton
        v-else-if="!practice"
        variant="outline-primary"
        :href="`/api/checks/${check.id}/sheet.pdf`"
        target="_blank"
        rel="noopener"
      >
        Sheet
      </BButton>
      <BButton
        v-if="!practice"
        :variant="unfinished ? 'primary' : 'outline-primary'"
        :to="{ name: 'check', params: { id: check.id } }"
      >
        Type in
      </BButton>
      <BButton
        v-if="check.answers"
        variant="outline-primary"
        :to="{ name: 'class', params: { id: check.id } }"
      >
        What they say
      </BButton>
      <BButton v-if="removable" variant="link" @click="$emit('remove')">Remove</BButton>
    </div>
  </article>
</template>

<style scoped lang="scss">
.check {
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr) auto;
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
