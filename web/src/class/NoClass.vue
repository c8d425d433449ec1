<script setup lang="ts">
import { NothingYet } from "@/shared";

/** What stands on a page about a class where there is none yet. */
defineProps<{ what: string }>();
</script>

<template>
  <NothingYet :to="{ name: 'new-class' }" does="Add class">{{ what }}</NothingYet>
</template>
