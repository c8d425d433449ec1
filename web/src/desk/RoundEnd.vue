<script setup lang="ts">
import { nextTick, onMounted, ref } from "vue";
import type { DeskState } from "@/api/client";
import type { useVoice } from "./useVoice";

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
  <main class="end">
    <h1 ref="heading" tabindex="-1">{{ open ? "That was the last one." : "The desk is closed." }}</h1>
    <p v-if="end" class="well">{{ end.well }}</p>
    <p v-if="end?.watch" class="watch">{{ end.watch }}</p>
    <div class="ways">
      <BButton v-if="open && kind === 'practice'" variant="bare" class="go" @click="$emit('again')">
        Once more
      </BButton>
      <BButton variant="bare" class="key" @click="$emit('own')">The clocks I can read</BButton>
      <BButton v-if="!open || kind !== 'practice'" variant="bare" class="key" @click="$emit('leave')">
        Leave
      </BButton>
    </div>
  </main>
</template>

<style scoped>
.end {
  margin: auto;
  padding: 1.5rem;
  max-width: 40rem;
  text-align: center;
}

h1 {
  font-size: 1.9rem;
}

h1:focus {
  outline: none;
}

.well {
  margin: 1.5rem 0 1rem;
  font-size: 1.5rem;
  line-height: 1.4;
  color: var(--v-right);
  font-weight: 700;
}

.watch {
  margin: 0 0 1.5rem;
  font-size: 1.3rem;
  line-height: 1.4;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 0.8rem;
}

.ways .key {
  min-height: 3.5rem;
  padding-inline: 1.4rem;
}
</style>
