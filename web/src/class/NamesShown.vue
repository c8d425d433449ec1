<script setup lang="ts">
import { computed } from "vue";
import type { Commas, NamesRead } from "@/api";
import { countedChildren } from "@/words";
import CommasMean from "./CommasMean.vue";

/** The children for whom a list of names is taken, and what its commas mean where that is not certain. */
const props = defineProps<{ id: string; read: NamesRead }>();
const commas = defineModel<Commas>("commas", { required: true });

const alike = computed(() => props.read.children.filter((child) => child.alike));
</script>

<template>
  <div class="d-grid gap-2">
    <p class="m-0" role="status">
      <strong>{{ countedChildren(read.children.length) }}</strong>
      <span v-if="read.children.length">: {{ read.children.map((child) => child.name).join(" · ") }}</span>
    </p>
    <p v-if="alike.length" class="m-0 quiet" role="status">
      <i class="bi bi-people" aria-hidden="true"></i>
      Children with the same name get a letter or number. You can type another name.
      {{ alike.map((child) => `${child.alike} is now ${child.name}`).join(", ") }}
    </p>
    <CommasMean v-if="read.commas" :id="`${id}-commas`" :meant="read.commas" @say="commas = $event" />
  </div>
</template>
