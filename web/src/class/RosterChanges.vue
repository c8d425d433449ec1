<script setup lang="ts">
import { countedChildren } from "@/words";

/** What would become of a class with a list. */
defineProps<{
  change: {
    added: readonly string[];
    renamed: readonly { from: string; to: string }[];
    back: readonly { name: string }[];
    gone: readonly { name: string }[];
    same: number;
  };
  /** Who comes from another class of the school. */
  moved?: readonly { name: string; from: string }[];
}>();
</script>

<template>
  <dl class="change d-grid cols-auto-1 row-gap-1 column-gap-075">
    <template v-if="change.added.length">
      <dt>New</dt>
      <dd>{{ change.added.join(", ") }}</dd>
    </template>
    <template v-if="moved?.length">
      <dt>Moving in</dt>
      <dd>{{ moved.map((child) => `${child.name} from ${child.from}`).join(", ") }}</dd>
    </template>
    <template v-if="change.renamed.length">
      <dt>Renamed</dt>
      <dd>{{ change.renamed.map((child) => `${child.from} → ${child.to}`).join(", ") }}</dd>
    </template>
    <template v-if="change.back.length">
      <dt>Returning</dt>
      <dd>{{ change.back.map((child) => child.name).join(", ") }}</dd>
    </template>
    <template v-if="change.gone.length">
      <dt>Not on the list</dt>
      <dd>{{ change.gone.map((child) => child.name).join(", ") }}</dd>
    </template>
    <dt>Unchanged</dt>
    <dd>{{ countedChildren(change.same - (moved?.length ?? 0)) }}</dd>
  </dl>
</template>

<style scoped>
dd {
  margin: 0;
}
</style>
