<script setup lang="ts">
/** A button whose look stands with what it is part of. The package's would be 10 kB more for a child's device. */
</script>

<template>
  <button type="button"><slot /></button>
</template>
