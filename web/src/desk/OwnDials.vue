<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { Refused } from "@/api/client";
import DialFace from "@/dial/DialFace.vue";
import { ownDials, type OwnDial } from "./ask";
import type { useVoice } from "@/voice/useVoice";
import DeskButton from "./DeskButton.vue";

/** The clocks that the child can read now, the hardest first. */
const props = defineProps<{ voice: ReturnType<typeof useVoice> }>();
defineEmits<{ back: [] }>();
const dials = shallowRef<OwnDial[] | null>(null);
const errorMessage = ref("");

onMounted(async () => {
  try {
    dials.value = await ownDials();
    props.voice.say("The clocks I can read.", ...dials.value.map((dial) => `${dial.words}.`));
  } catch (error) {
    errorMessage.value =
      error instanceof Refused && !error.passing ? error.message : "No connection right now.";
  }
});
</script>

<template>
  <main class="own flex-1 min-h-0 overflow-y-auto px-12 py-08">
    <header class="d-flex align-items-center justify-content-between gap-3 mb-3">
      <h1 class="m-0 fs-150">
        {{ dials?.length ? `The clocks I can read: ${dials.length}` : "The clocks I can read" }}
      </h1>
      <DeskButton class="key" @click="$emit('back')">Back</DeskButton>
    </header>
    <p v-if="errorMessage" role="alert">{{ errorMessage }}</p>
    <p v-else-if="dials && !dials.length">Every clock you read right will appear here.</p>
    <ul v-else-if="dials" class="d-grid gap-12 m-0 p-0 list-none text-center">
      <li v-for="dial in dials" :key="dial.words">
        <DialFace :facts="dial" :margin="3" />
        <span class="d-block mt-03">{{ dial.words }}</span>
      </li>
    </ul>
  </main>
</template>

<style scoped>
ul {
  grid-template-columns: repeat(auto-fill, minmax(7.5rem, 1fr));
}
</style>
