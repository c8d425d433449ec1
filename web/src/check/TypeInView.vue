<script setup lang="ts">
import { computed } from "vue";
import { readCheck, useFacts, useApiQuery } from "@/api";
import { useRouteNumber } from "@/route";
import { useOwnClass } from "@/school";
import TypeIn from "./TypeIn.vue";
import { counted, countedChildren, moment } from "@/words";

/** Typing in what the children wrote: loads the check, then hands it to the grid. */
const facts = useFacts();
const id = useRouteNumber("id");
const {
  data: check,
  errorMessage,
  reload,
} = useApiQuery(readCheck, () => id.value && [id.value], { fresh: true });
useOwnClass(() => check.value?.class_id);
const practice = computed(() => check.value && facts.ownTasks(check.value));
</script>

<template>
  <div class="page">
    <template v-if="check">
      <div class="page-head">
        <h1>{{ facts.titleOf(check) }}</h1>
        <span class="quiet">
          {{ moment(check.made_at) }} · {{ countedChildren(check.children.length) }}
          <template v-if="!practice">· {{ counted(check.items.length, "clock") }}</template>
        </span>
        <div class="actions">
          <BButton
            v-if="facts.hasSlips(check)"
            variant="outline-primary"
            :to="{ name: 'slips', params: { id } }"
          >
            <i class="bi bi-printer" aria-hidden="true"></i>
            Slips
          </BButton>
          <BButton
            v-if="check.desk"
            variant="outline-primary"
            :to="{ name: 'live-desk', params: { id: check.desk.id } }"
          >
            See session
          </BButton>
          <BButton
            v-if="!practice"
            variant="outline-primary"
            :href="`/api/checks/${id}/sheet.pdf`"
            target="_blank"
            rel="noopener"
          >
            <i class="bi bi-file-earmark-pdf" aria-hidden="true"></i>
            Sheet{{ check.code ? ` ${check.code}` : "" }}
          </BButton>
          <BDropdown v-if="check.own_times" text="Print again for" variant="outline-primary" class="whose">
            <BDropdownItem
              v-for="child in check.children"
              :key="child.id"
              :href="`/api/checks/${id}/sheet.pdf?part=sheets&child_id=${child.id}`"
              target="_blank"
              rel="noopener"
            >
              {{ child.name }}
            </BDropdownItem>
          </BDropdown>
          <BButton
            v-else-if="!practice"
            variant="outline-primary"
            :href="`/api/checks/${id}/sheet.pdf?part=sheets&spare=true`"
            target="_blank"
            rel="noopener"
          >
            Spare slip
          </BButton>
          <BButton variant="primary" :to="{ name: 'class', params: { id } }">See results</BButton>
        </div>
      </div>
      <p v-if="practice">
        Every child had their own clocks on the device. You find the answers in the class's
        <RouterLink :to="{ name: 'class', params: { id } }">results</RouterLink>
        and on each child's page.
      </p>
      <TypeIn
        v-else
        :key="`${check.id} ${check.letters.map((place) => place.letter + place.child_id)}`"
        :check="check"
        @swapped="reload"
      />
    </template>
    <div v-else-if="errorMessage" role="alert">
      <h1>This check can't be opened</h1>
      <p>
        {{ errorMessage }}
        <RouterLink :to="{ name: 'checks' }">All checks</RouterLink>
      </p>
      <BButton variant="primary" @click="reload">Try again</BButton>
    </div>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>
