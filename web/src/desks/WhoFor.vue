<script setup lang="ts">
import { computed } from "vue";
import type { Child, Group } from "@/api";

/** For whom the desks are opened: the class, a group that the answers suggest, or whoever is chosen. */
const props = defineProps<{ children: readonly Child[]; groups: readonly Group[] }>();
/** Nothing for the whole class. */
const chosen = defineModel<number[] | null>({ required: true });

const nameOf = (id: number): string => props.children.find((child) => child.id === id)?.name ?? "";

function toggle(id: number): void {
  const before = chosen.value ?? [];
  chosen.value = before.includes(id) ? before.filter((other) => other !== id) : [...before, id];
}

/** All, one of the groups, or children one by one. */
const ways = computed(() => [
  { id: "all", name: "The whole class", children: null },
  ...props.groups.map((group, at) => ({
    id: `group ${at}`,
    name: group.child_ids.slice(0, 3).map(nameOf).join(", ") + (group.child_ids.length > 3 ? "…" : ""),
    children: group.child_ids,
  })),
  { id: "some", name: "Choose…", children: [] },
]);
const picked = computed(() => {
  if (chosen.value === null) return "all";
  return ways.value.find((way) => way.children?.join() === chosen.value?.join())?.id ?? "some";
});
</script>

<template>
  <fieldset>
    <legend class="fw-bold">Who</legend>
    <div class="who d-flex flex-wrap gap-2 mb-09">
      <div v-for="way in ways" :key="way.id" class="pill" :class="{ on: picked === way.id }">
        <BFormRadio
          name="who"
          :model-value="picked"
          :value="way.id"
          @update:model-value="chosen = way.children ? [...way.children] : null"
        >
          {{ way.name }}
        </BFormRadio>
      </div>
    </div>
    <div v-if="chosen" class="children d-flex flex-wrap gap-2 mb-09">
      <div v-for="child in children" :key="child.id" class="pill" :class="{ on: chosen.includes(child.id) }">
        <BFormCheckbox :model-value="chosen.includes(child.id)" @update:model-value="toggle(child.id)">
          {{ child.name }}
        </BFormCheckbox>
      </div>
    </div>
  </fieldset>
</template>

<style scoped lang="scss">
legend {
  font-size: 1.15rem;
}
</style>
