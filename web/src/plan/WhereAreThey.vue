<script setup lang="ts">
import { computed, ref, shallowRef, watch } from "vue";
import { readLadder, useApiQuery, type Ladder } from "@/api";
import { useClasses } from "@/school";
import { KnewBefore } from "@/shared";

/** On the first day, after holidays, and of a child who joins: find out where they are, or say it. */
const classes = useClasses();
const said = ref(false);
const { data: ladder } = useApiQuery(readLadder, () => classes.current && [classes.current.id]);
type Offered = Ladder["baseline"];
/** It stays while the page does: what was said can be taken back. */
const offered = shallowRef<Offered>();
watch(
  () => ladder.value?.baseline,
  (found) => {
    if (!said.value) offered.value = found;
  },
  { immediate: true },
);
/** What was said of one class says nothing of another. */
watch(
  () => classes.current?.id,
  () => (said.value = false),
);
const joined = computed(() => offered.value?.why === "joined");
const names = computed(() =>
  (classes.current?.children ?? [])
    .filter((child) => offered.value?.child_ids.includes(child.id))
    .map((child) => child.name),
);
const SHOWN = 4;
const who = computed(() => {
  if (!joined.value) return "The class";
  const more = names.value.length - SHOWN;
  const first = names.value.slice(0, SHOWN).join(", ");
  return more > 0 ? `${first} and ${more} more` : first;
});
const about = computed(
  () =>
    ({
      first: "Twelve clocks show where each child is. Then the first lesson fits your class.",
      holidays: "No answers for a while. Twelve clocks show what each child still knows.",
      joined: "Twelve clocks show where they are.",
      none: "",
    })[offered.value?.why ?? "none"],
);
const query = computed(() => ({
  kind: "baseline",
  ...(joined.value ? { children: offered.value?.child_ids.join(",") } : {}),
}));
</script>

<template>
  <BCard v-if="offered && about" class="mt-20">
    <h2 class="fs-130">{{ joined ? `Few answers so far: ${who}` : "Where are they on the ladder?" }}</h2>
    <p class="mb-2">{{ about }}</p>
    <div class="d-flex flex-wrap align-items-center gap-2 mb-2">
      <BButton variant="outline-primary" :to="{ name: 'new-desk', query }">On devices</BButton>
      <BButton variant="outline-primary" :to="{ name: 'sheets', query: { kind: 'baseline' } }">
        On paper
      </BButton>
    </div>
    <KnewBefore
      v-if="offered.why !== 'holidays'"
      :class-id="classes.current!.id"
      :child-ids="joined ? offered.child_ids : []"
      :who="who"
      @said="said = true"
    />
  </BCard>
</template>
