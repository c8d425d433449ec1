<script setup lang="ts">
/** Names with letters that no sheet can print: said before anything is printed. */
defineProps<{ names: readonly string[] }>();
</script>

<template>
  <p v-if="names.length" class="quiet" role="note">
    Sheets can't print these names: {{ names.join(", ") }}. Those sheets have a line to write the name on.
  </p>
</template>
