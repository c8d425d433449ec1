<script setup lang="ts">
/** Names with letters that no sheet can print: said before anything is printed. */
defineProps<{ names: readonly string[] }>();
</script>

<template>
  <p v-if="names.length" class="quiet" role="note">
    The typeface on sheets lacks letters for {{ names.join(", ") }}: there is a line instead, to write the
    name on.
  </p>
</template>
