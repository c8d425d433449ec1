<script setup lang="ts">
/** What is done less often, behind one press. */
defineProps<{ of: string }>();
</script>

<template>
  <BDropdown variant="link" no-caret placement="bottom-end" class="more-menu">
    <template #button-content>
      <i class="bi bi-three-dots" aria-hidden="true"></i>
      <span class="visually-hidden">More: {{ of }}</span>
    </template>
    <slot />
  </BDropdown>
</template>

<style scoped>
:deep(.dropdown-toggle)::after {
  display: none;
}
</style>
