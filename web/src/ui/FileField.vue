<script setup lang="ts">
import FieldGroup from "./FieldGroup.vue";

/** A file to choose. What is wrong with it stands under it. */
defineProps<{ id: string; label: string; accept: string; wrong?: string }>();
const file = defineModel<File | null>({ required: true });
const emit = defineEmits<{ chosen: [] }>();
</script>

<template>
  <FieldGroup :id="id" v-slot="{ state }" :label="label" :wrong="wrong">
    <BFormFile
      :id="id"
      v-model="file"
      plain
      :state="state"
      :accept="accept"
      @update:model-value="emit('chosen')"
    />
  </FieldGroup>
</template>
