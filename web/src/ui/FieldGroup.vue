<script setup lang="ts">
/** A field of a form: its name, the control, a hint, and under it what is wrong with it, read aloud when it comes. */
defineProps<{ id: string; label: string; wrong?: string }>();
</script>

<template>
  <BFormGroup class="field" :label="label" :label-for="id" :state="wrong ? false : null">
    <slot :state="wrong ? false : null" />
    <template #invalid-feedback>
      <span v-if="wrong" role="alert">{{ wrong }}</span>
    </template>
    <template v-if="$slots.hint" #description><slot name="hint" /></template>
  </BFormGroup>
</template>
