<script setup lang="ts">
/** A button of the desk, as small as it can be: the package's would be a sixth of what a child's device loads. */
</script>

<template>
  <button type="button" class="btn btn-bare"><slot /></button>
</template>
