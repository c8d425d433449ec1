<script setup lang="ts">
/** What the dial can do besides being turned by hand. */
defineProps<{
  playing: boolean;
  loose: boolean;
  board: boolean;
  dim: boolean;
  timer: boolean;
  words: number;
}>();
defineEmits<{ play: []; gears: []; board: []; help: []; dim: []; words: []; timer: [] }>();

const print = (): void => window.print();
</script>

<template>
  <div
    class="tools flats pt-2 row-gap-015 column-gap-1 border-top"
    :class="board ? 'd-flex flex-wrap' : 'd-grid'"
    role="toolbar"
    aria-label="The clock"
  >
    <BButton variant="bare" :disabled="loose" :aria-pressed="playing" @click="$emit('play')">
      <i class="bi" :class="playing ? 'bi-stop-fill' : 'bi-play-fill'" aria-hidden="true"></i>
      {{ playing ? "Stop" : "Move on in fives" }}
      <kbd class="key" aria-hidden="true">A</kbd>
    </BButton>
    <BButton variant="bare" :aria-pressed="loose" @click="$emit('gears')">
      <i class="bi" :class="loose ? 'bi-gear-fill' : 'bi-gear'" aria-hidden="true"></i>
      {{ loose ? "Link hands" : "Unlink hands" }}
      <kbd class="key" aria-hidden="true">U</kbd>
    </BButton>
    <BButton variant="bare" :aria-pressed="board" @click="$emit('board')">
      <i class="bi bi-easel" aria-hidden="true"></i>
      {{ board ? "Leave board" : "Board" }}
      <kbd class="key" aria-hidden="true">B</kbd>
    </BButton>
    <template v-if="board">
      <BButton variant="bare" :title="`Size ${words} of 3`" @click="$emit('words')">
        <i class="bi bi-fonts" aria-hidden="true"></i>
        {{ words < 3 ? "Larger words" : "Smaller words" }}
        <kbd class="key" aria-hidden="true">W</kbd>
      </BButton>
      <BButton variant="bare" :aria-pressed="dim" @click="$emit('dim')">
        <i class="bi" :class="dim ? 'bi-moon-fill' : 'bi-moon'" aria-hidden="true"></i>
        {{ dim ? "Light" : "Dark room" }}
        <kbd class="key" aria-hidden="true">E</kbd>
      </BButton>
    </template>
    <BButton v-if="!board" variant="bare" :aria-pressed="timer" @click="$emit('timer')">
      <i class="bi bi-hourglass-split" aria-hidden="true"></i>
      Timer
      <kbd class="key" aria-hidden="true">Z</kbd>
    </BButton>
    <div class="d-flex flex-wrap column-gap-1 together">
      <BButton v-if="!board" variant="bare" :to="{ name: 'compare' }">
        <i class="bi bi-symmetry-vertical" aria-hidden="true"></i>
        Compare two
      </BButton>
      <BButton v-if="!board" variant="bare" @click="print">
        <i class="bi bi-printer" aria-hidden="true"></i>
        Print
      </BButton>
      <BButton variant="bare" @click="$emit('help')">
        <i class="bi bi-keyboard" aria-hidden="true"></i>
        Keys
        <kbd class="key" aria-hidden="true">?</kbd>
      </BButton>
    </div>
  </div>
</template>

<style scoped lang="scss">
.tools {
  grid-template-columns: repeat(auto-fit, minmax(10.2rem, 1fr));
}

.together {
  grid-column: 1 / -1;
}
</style>
