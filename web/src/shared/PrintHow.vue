<script setup lang="ts">
import { computed } from "vue";
import type { PaperNeeded } from "@/api";
import { counted } from "@/words";
import { usePrinting } from "./printing";

/** Print, on which sides of the paper, and how much paper that takes. It is kept for the next time. */
const props = defineProps<{ paper: PaperNeeded; answered: boolean; keyed?: boolean }>();

const how = usePrinting();
const PARTS = { all: "sheets and answers", sheets: "sheets only", answers: "answers only" };
const SIDES = { both: "on both sides", one: "on one side" };
/** What has no answers is printed with its key, where it has one. */
const part = computed(() => (props.answered ? how.value.part : props.keyed ? "all" : "sheets"));
const needed = computed(
  () =>
    props.paper.find((choice) => choice.sides === how.value.sides && choice.part === part.value)?.sheets ?? 0,
);
</script>

<template>
  <div class="d-flex flex-wrap gap-2 align-items-center">
    <BFormSelect v-if="answered" v-model="how.part" size="sm" class="w-auto" aria-label="Print">
      <option v-for="(name, id) in PARTS" :key="id" :value="id">{{ name }}</option>
    </BFormSelect>
    <BFormSelect v-model="how.sides" size="sm" class="w-auto" aria-label="Sides of the paper">
      <option v-for="(name, id) in SIDES" :key="id" :value="id">{{ name }}</option>
    </BFormSelect>
    <span class="quiet" role="status">{{ counted(needed, "sheet") }} of paper</span>
  </div>
</template>
