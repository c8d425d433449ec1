<script setup lang="ts">
import { BApp, BButton, BCard, BDropdown, BFormInput, BNav } from "bootstrap-vue-next";

defineProps<{ client: unknown }>();
</script>

<template>
  <BApp>
    <main>
      <BNav />
      <BDropdown text="Empty" />
      <BCard><BButton>Empty</BButton><BFormInput /></BCard>
      <h1>Empty</h1>
    </main>
  </BApp>
</template>
