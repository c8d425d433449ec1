<script setup lang="ts">
import { useEventListener } from "@vueuse/core";
import { computed, ref } from "vue";
import { useRouter } from "vue-router";
import { closeDesk, removeDesk, endSeat, useApiQuery, useApiMutation, useFacts, watchDesk } from "@/api";
import { SureButton } from "@/ui";
import { useCovering, useRouteNumber } from "@/route";
import { useOwnClass } from "@/school";
import { useJustRemoved } from "@/shared";
import ChildAtDesk from "./ChildAtDesk.vue";
import JoinCard from "./JoinCard.vue";
import { STUCK, titleOfDesk } from "./wording";

/** Who is at the desks, where each child is, and the answers as they arrive. */
const BEAT = 2000;
const facts = useFacts();
const hidden = ref(false);
const board = ref(false);
useCovering(() => board.value);
const opened = ref<number | null>(null);
const deskId = useRouteNumber("id");
const {
  data: live,
  errorMessage,
  lost,
} = useApiQuery(watchDesk, () => deskId.value && [deskId.value], {
  every: (found) => (found?.desk.open === false ? false : BEAT),
});
const { busy, errorMessage: refused, run } = useApiMutation();
const router = useRouter();
const just = useJustRemoved();
useOwnClass(() => live.value?.desk.class_id);

const desk = computed(() => live.value?.desk);
const children = computed(() => live.value?.children ?? []);
const joined = computed(() => children.value.filter((child) => child.joined).length);
const stuck = computed(() => children.value.filter((child) => child.stuck));
const given = computed(() => children.value.reduce((sum, child) => sum + child.given, 0));

const away = (childId: number): Promise<boolean> =>
  run(async () => {
    if (!desk.value) return;
    await endSeat(desk.value.id, childId);
  });

const close = (): Promise<boolean> =>
  run(async () => {
    if (!desk.value) return;
    await closeDesk(desk.value.id);
    board.value = false;
  });

const remove = (): Promise<boolean> =>
  run(async () => {
    if (!desk.value) return;
    just.value = await removeDesk(desk.value.id);
    await router.push({ name: "checks" });
  });

useEventListener("keydown", (event: KeyboardEvent) => {
  if (
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    (event.target as HTMLElement).closest("input, select")
  )
    return;
  if (event.key === "n") hidden.value = !hidden.value;
  else if (event.key === "b" && desk.value?.open) board.value = !board.value;
  else if (event.key === "Escape") {
    board.value = false;
    opened.value = null;
  } else return;
  event.preventDefault();
});
</script>

<template>
  <div class="page live">
    <template v-if="desk">
      <div class="page-head" :inert="board">
        <h1>{{ titleOfDesk(desk, facts) }}</h1>
        <span class="quiet" role="status">
          {{ desk.open ? "" : "Closed. " }}{{ joined }} of {{ children.length }} joined, {{ given }}
          {{ given === 1 ? "answer" : "answers" }}
        </span>
        <div class="actions">
          <BButton variant="outline-primary" :aria-pressed="hidden" @click="hidden = !hidden">
            {{ hidden ? "Show names" : "Hide names" }}
            <kbd class="key" aria-hidden="true">N</kbd>
          </BButton>
          <template v-if="desk.open">
            <BButton variant="outline-primary" @click="board = true">
              Board
              <kbd class="key" aria-hidden="true">B</kbd>
            </BButton>
            <SureButton variant="primary" title="Close for all?" does="Close" :busy="busy" :act="close">
              Close for all
              <template #says>All answers are saved. Children get no more tasks.</template>
            </SureButton>
          </template>
          <BButton v-else variant="link" :disabled="busy" @click="remove">Delete</BButton>
          <BButton
            v-if="!desk.open"
            variant="primary"
            :to="{ name: given ? 'class' : 'new-desk', params: given ? { id: desk.check_id } : {} }"
          >
            {{ given ? "See results" : "Start again" }}
          </BButton>
        </div>
      </div>
      <p v-if="refused || lost" class="field-error" role="alert">{{ refused || lost }}</p>
      <JoinCard
        v-if="desk.open"
        :desk="desk"
        :large="board || joined === 0"
        :board="board"
        @close="board = false"
      />
      <p
        v-if="stuck.length && !hidden"
        class="look d-flex flex-wrap row-gap-04 column-gap-20 align-items-baseline mt-3 mb-0 rounded-08"
      >
        <strong>Look at</strong>
        <span v-for="child in stuck" :key="child.child_id" class="who">
          <b class="lh-110">{{ child.name }}:</b>
          {{ STUCK[child.stuck!] }}
        </span>
      </p>
      <ul
        v-if="joined || !desk.open"
        class="children d-grid align-items-start row-gap-2 column-gap-3 mt-3 mb-0 p-0 list-none"
        :inert="board"
      >
        <ChildAtDesk
          v-for="child in children"
          :key="child.child_id"
          :child="child"
          :desk="desk"
          :hidden="hidden"
          :open="opened === child.child_id"
          @toggle="opened = opened === child.child_id ? null : child.child_id"
          @away="away(child.child_id)"
        />
      </ul>
    </template>
    <div v-else-if="errorMessage" role="alert">
      <h1>This session isn't there</h1>
      <p>{{ errorMessage }}</p>
      <RouterLink :to="{ name: 'new-desk' }">Answer on devices</RouterLink>
    </div>
    <p v-else class="quiet" aria-live="polite">Loading…</p>
  </div>
</template>

<style scoped lang="scss">
.children {
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 21rem), 1fr));
}

/* Seen from across the room: who needs somebody now. */
.look {
  padding: 0.8rem 1.4rem;
  border-left: 10px solid var(--v-slip);
  background: var(--v-slip-tint);
  font-size: 1.1rem;

  b {
    font-size: 2.2rem;
  }
}
</style>
