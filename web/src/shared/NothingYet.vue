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
  <div class="nothing-yet d-grid justify-items-center gap-3 text-center">
    <DialFace class="waiting" :facts="shown" :numerals="false" :margin="2" />
    <p class="said m-0 fs-125 lh-135"><slot /></p>
    <BButton v-if="to" variant="primary" :to="to">{{ does }}</BButton>
  </div>
</template>

<style scoped lang="scss">
.nothing-yet {
  max-width: 34rem;
  margin: 3.5rem auto;
}

.waiting {
  width: 9rem;
  opacity: 0.55;
}
</style>
