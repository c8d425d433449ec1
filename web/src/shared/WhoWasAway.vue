<script setup lang="ts">
import { useAway } from "./useAway";

/** One tap on a name: that child was away on this day. */
const props = defineProps<{
  classId: number;
  day: string;
  children: readonly { id: number; name: string }[];
}>();
const { away, toggle, errorMessage } = useAway(
  () => props.classId,
  () => props.day,
);
</script>

<template>
  <fieldset class="mb-4">
    <legend class="eyebrow">Who was away?</legend>
    <div class="d-flex flex-wrap gap-2">
      <BButton
        v-for="child in children"
        :key="child.id"
        :variant="away.has(child.id) ? 'primary' : 'outline-primary'"
        size="sm"
        :aria-pressed="away.has(child.id)"
        @click="toggle(child.id)"
      >
        {{ child.name }}
      </BButton>
    </div>
    <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
  </fieldset>
</template>
