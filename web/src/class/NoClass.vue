<script setup lang="ts">
/** What stands on a page about a class where there is none yet. */
defineProps<{ what: string }>();
</script>

<template>
  <p>
    {{ what }}
    <RouterLink :to="{ name: 'new-class' }">Make a class first</RouterLink>
  </p>
</template>
