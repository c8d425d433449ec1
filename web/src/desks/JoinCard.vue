<script setup lang="ts">
import { computed } from "vue";
import type { Desk } from "@/api";
import { HereAlone, QrCode } from "@/ui";

/** How children come to the desk: the address, the code, and both as a QR code. Large until somebody has joined. */
const props = defineProps<{
  desk: Desk;
  large: boolean;
  /** Alone on the window, for the projector. */ board: boolean;
}>();
defineEmits<{ close: [] }>();
/** Without what a browser adds by itself. */
const address = computed(() => props.desk.address.replace(/^https?:\/\//, ""));
</script>

<template>
  <section
    class="join border rounded-10 d-flex align-items-center gap-4 px-12 py-04 on-card"
    :class="{ large, board }"
    aria-label="How to join"
  >
    <QrCode class="qr flex-none" :path="desk.qr" label="The address with the code, as a QR code" />
    <div>
      <p class="line m-0 fs-115 text-anywhere">
        Go to
        <strong>{{ address }}</strong>
      </p>
      <p class="line m-0 fs-115 text-anywhere">
        Code
        <strong class="code fs-150">{{ desk.code }}</strong>
      </p>
      <HereAlone v-if="large && !desk.reachable" class="note mt-04 mb-0" />
    </div>
    <BButton v-if="board" variant="outline-primary" class="close position-absolute" @click="$emit('close')">
      Back
      <kbd class="key" aria-hidden="true">Esc</kbd>
    </BButton>
  </section>
</template>

<style scoped lang="scss">
.qr {
  width: 4.6rem;
}

.code {
  letter-spacing: 0.12em;
}

.note :deep(code) {
  color: inherit;
}

.large {
  justify-content: center;
  gap: 3rem;
  padding: 2rem;

  .qr {
    width: min(24rem, 40vw, 52vh);
  }

  .line {
    font-size: 1.9rem;
  }

  .code {
    font-size: 3.6rem;
  }
}

.board {
  position: fixed;
  inset: 0;
  z-index: 40;
  border: 0;
  border-radius: 0;

  .qr {
    width: min(46vw, 74vh);
  }

  .line {
    font-size: clamp(1.6rem, 3vw, 3rem);
  }

  .code {
    font-size: clamp(3rem, 7vw, 7rem);
    line-height: 1.2;
  }
}

.close {
  top: 1rem;
  right: 1.5rem;
}

@media (max-width: 48rem) {
  .join {
    flex-direction: column;
    gap: 1rem;
  }
}
</style>
