<script setup lang="ts">
import type { Child, Group } from "@/api";

/** For whom the desks are opened: the class, a group that the answers suggest, or whoever is chosen. */
const props = defineProps<{ children: readonly Child[]; groups: readonly Group[] }>();
/** Nothing for the whole class. */
const chosen = defineModel<number[] | null>({ required: true });

const nameOf = (id: number): string => props.children.find((child) => child.id === id)?.name ?? "";

function toggle(id: number): void {
  const before = chosen.value ?? [];
  chosen.value = before.includes(id) ? before.filter((one) => one !== id) : [...before, id];
}
</script>

<template>
  <fieldset>
    <legend>Who</legend>
    <div class="who">
      <label class="pill" :class="{ on: chosen === null }">
        <input
          type="radio"
          class="form-check-input"
          name="who"
          :checked="chosen === null"
          @change="chosen = null"
        />
        The whole class
      </label>
      <label
        v-for="(group, at) in groups"
        :key="at"
        class="pill"
        :class="{ on: chosen?.join() === group.child_ids.join() }"
      >
        <input
          type="radio"
          class="form-check-input"
          name="who"
          :checked="chosen?.join() === group.child_ids.join()"
          @change="chosen = [...group.child_ids]"
        />
        {{ group.child_ids.slice(0, 3).map(nameOf).join(", ") }}{{ group.child_ids.length > 3 ? "…" : "" }}
      </label>
      <label class="pill" :class="{ on: chosen?.length === 0 }">
        <input
          type="radio"
          class="form-check-input"
          name="who"
          :checked="chosen?.length === 0"
          @change="chosen = []"
        />
        Choose…
      </label>
    </div>
    <div v-if="chosen" class="children">
      <label
        v-for="child in children"
        :key="child.id"
        class="pill"
        :class="{ on: chosen.includes(child.id) }"
      >
        <input
          type="checkbox"
          class="form-check-input"
          :checked="chosen.includes(child.id)"
          @change="toggle(child.id)"
        />
        {{ child.name }}
      </label>
    </div>
  </fieldset>
</template>

<style scoped lang="scss">
legend {
  font-size: 1.15rem;
  font-weight: 700;
}

.who,
.children {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-bottom: 0.9rem;
}
</style>
