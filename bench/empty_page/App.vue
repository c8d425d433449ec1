<script setup lang="ts">
import { BApp } from "bootstrap-vue-next";
</script>

<template>
  <BApp />
</template>
