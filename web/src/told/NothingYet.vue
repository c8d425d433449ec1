<script setup lang="ts">
import { computed } from "vue";
import type { RouteLocationRaw } from "vue-router";
import { useFacts } from "@/api";
import { DialFace } from "@/dial";

/** What an empty page says: a dial with no numerals yet, one sentence, one button. */
defineProps<{ to?: RouteLocationRaw; does?: string }>();

const facts = useFacts();
/** Ten past ten, as on every dial that waits to be read. */
const shown = computed(() => facts.of("10:10"));
</script>

<template>
  <div class="nothing-yet">
    <DialFace class="waiting" :facts="shown" :numerals="false" :margin="2" />
    <p class="said"><slot /></p>
    <BButton v-if="to" variant="primary" :to="to">{{ does }}</BButton>
  </div>
</template>

<style scoped lang="scss">
.nothing-yet {
  display: grid;
  justify-items: center;
  gap: 1rem;
  max-width: 34rem;
  margin: 3.5rem auto;
  text-align: center;
}

.waiting {
  width: 9rem;
  opacity: 0.55;
}

.said {
  margin: 0;
  font-size: 1.25rem;
  line-height: 1.35;
}
</style>
