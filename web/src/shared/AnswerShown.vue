<script setup lang="ts">
import { computed } from "vue";
import { DialFace, handsIn } from "@/dial";

/** What a child answered: words and digits as they are, hands as a small clock. */
const props = defineProps<{ answer: string }>();
const hands = computed(() => handsIn(props.answer));
</script>

<template>
  <span v-if="hands" class="hands d-inline-block align-middle">
    <DialFace :facts="hands" detail="small" label="Hands as the child set them" />
  </span>
  <template v-else>{{ answer }}</template>
</template>

<style scoped>
.hands {
  width: 2.2rem;
}
</style>
