<script setup lang="ts">
import FieldGroup from "./FieldGroup.vue";

/** The password of who is signed in, once more: before what cannot be taken back, or gives away everything. */
defineProps<{ id: string; wrong?: string }>();
const present = defineModel<string>({ required: true });
</script>

<template>
  <FieldGroup :id="id" v-slot="{ state }" label="Your own password" :wrong="wrong">
    <BFormInput :id="id" v-model="present" type="password" autocomplete="current-password" :state="state" />
  </FieldGroup>
</template>
