<script setup lang="ts">
import { nextTick, onMounted, ref } from "vue";
import type { DeskState } from "@/api/client";
import type { useVoice } from "@/voice/useVoice";
import DeskButton from "./DeskButton.vue";

/** What went well, and one thing to watch for. */
const props = defineProps<{
  end: DeskState["end"];
  kind: DeskState["kind"];
  open: boolean;
  voice: ReturnType<typeof useVoice>;
}>();
defineEmits<{ again: []; own: []; leave: [] }>();
const heading = ref<HTMLElement>();

onMounted(() => {
  props.voice.say(props.end?.well ?? "", props.end?.watch ?? "");
  void nextTick(() => heading.value?.focus());
});
</script>

<template>
  <main class="end m-auto p-4 text-center">
    <h1 ref="heading" tabindex="-1">{{ open ? "All done!" : "We're finished for now." }}</h1>
    <p v-if="end" class="well mt-4 mb-3 fs-150 lh-140 tone-right fw-bold">{{ end.well }}</p>
    <p v-if="end?.watch" class="watch mb-4 fs-130 lh-140">{{ end.watch }}</p>
    <div class="ways d-flex flex-wrap justify-content-center gap-08">
      <DeskButton v-if="open && kind === 'practice'" class="go" @click="$emit('again')">Do more</DeskButton>
      <DeskButton class="key" @click="$emit('own')">The clocks I can read</DeskButton>
      <DeskButton v-if="!open || kind !== 'practice'" class="key" @click="$emit('leave')">Leave</DeskButton>
    </div>
  </main>
</template>

<style scoped>
.end {
  max-width: 40rem;
}

h1 {
  font-size: 1.9rem;
}

h1:focus {
  outline: none;
}

.ways .key {
  min-height: 3.5rem;
  padding-inline: 1.4rem;
}
</style>
