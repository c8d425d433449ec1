<script setup lang="ts">
import { nextTick, ref } from "vue";
import type { useVoice } from "@/voice/useVoice";
import DeskButton from "./DeskButton.vue";

/** Who is here and how far they are. */
defineProps<{
  name: string;
  done: number;
  of: number;
  /** A round is on: leaving asks once more. */
  counting: boolean;
  /** Whether it is shown how many tasks there are. */
  counted: boolean;
  voice: ReturnType<typeof useVoice>;
}>();
defineEmits<{ leave: [] }>();

/** Leaving asks once more: a finger slips, and the next child would sit in this one's seat. */
const sure = ref(false);
const stay = ref<InstanceType<typeof DeskButton>>();
function ask(): void {
  sure.value = true;
  void nextTick(() => (stay.value?.$el as HTMLElement | undefined)?.focus());
}

/** More than so many dots are a number. */
const DOTS = 14;
</script>

<template>
  <header class="bar d-grid align-items-center gap-2 border-bottom">
    <strong class="name fs-115 overflow-hidden text-ellipsis text-nowrap">{{ name }}</strong>
    <p class="far d-flex gap-035 m-0" :class="{ asked: sure }">
      <template v-if="counting && counted">
        <span class="visually-hidden">{{ done }} of {{ of }} done</span>
        <template v-if="of <= DOTS">
          <span
            v-for="dot in of"
            :key="dot"
            class="dot"
            :class="{ full: dot <= done }"
            aria-hidden="true"
          ></span>
        </template>
        <span v-else aria-hidden="true">{{ done }} of {{ of }}</span>
      </template>
    </p>
    <span class="tools justify-self-end d-flex align-items-center">
      <DeskButton v-if="voice.has.value" class="plain" :aria-pressed="voice.on.value" @click="voice.toggle">
        <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
          <path d="M4 9v6h4l5 4V5L8 9Z" fill="currentColor" />
          <path
            v-if="voice.on.value"
            d="M16 9c1.5 1.5 1.5 4.5 0 6M18.5 6.5c3 3 3 8 0 11"
            fill="none"
            stroke="currentColor"
            stroke-width="2"
            stroke-linecap="round"
          />
          <path
            v-else
            d="m16 9.5 5 5m0-5-5 5"
            stroke="currentColor"
            stroke-width="2"
            stroke-linecap="round"
          />
        </svg>
        <span class="visually-hidden">Read aloud</span>
      </DeskButton>
      <DeskButton v-if="!sure" class="plain" @click="counting ? ask() : $emit('leave')">Leave</DeskButton>
      <span v-else class="sure" role="alertdialog" aria-label="Leave?">
        <DeskButton class="plain" @click="$emit('leave')">Yes, leave</DeskButton>
        <DeskButton ref="stay" class="plain" @click="sure = false">Stay</DeskButton>
      </span>
    </span>
  </header>
</template>

<style scoped>
.bar {
  grid-template-columns: 1fr auto 1fr;
  padding: 0.3rem max(0.75rem, env(safe-area-inset-right)) 0.3rem max(1rem, env(safe-area-inset-left));
}

.sure {
  display: flex;
  white-space: nowrap;
}

.dot {
  width: 0.7rem;
  height: 0.7rem;
  border: 2px solid var(--v-edge);
  border-radius: 50%;
}

.dot.full {
  background: var(--v-ink);
  border-color: var(--v-ink);
}

@media (max-height: 30rem) {
  .bar {
    padding-block: 0;
  }
}

@media (max-width: 30rem) {
  .far.asked {
    display: none;
  }

  .far {
    gap: 0.2rem;
  }

  .dot {
    width: 0.55rem;
    height: 0.55rem;
  }

  .plain {
    padding: 0.2rem 0.4rem;
  }
}
</style>
