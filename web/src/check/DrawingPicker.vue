<script setup lang="ts">
import type { Item } from "@/api";
import { DialFace } from "@/dial";

/** Pictures of what a child may have drawn, each with the number that stands for it. */
defineProps<{ drawings: Item["drawings"] }>();
defineEmits<{ pick: [answer: string] }>();
</script>

<template>
  <ul class="drawings">
    <li v-for="(drawing, at) in drawings" :key="drawing.answer">
      <button type="button" tabindex="-1" @mousedown.prevent="$emit('pick', drawing.answer)">
        <span class="number">{{ at + 1 }}</span>
        <DialFace class="drawn" :facts="drawing" :label="drawing.name" />
        <span>{{ drawing.name }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped lang="scss">
.drawings {
  position: absolute;
  z-index: 6;
  top: calc(100% + 0.2rem);
  left: 0;
  display: flex;
  flex-wrap: wrap;
  width: 34rem;
  max-width: 80vw;
  gap: 0.3rem;
  list-style: none;
  margin: 0;
  padding: 0.5rem;
  background: var(--v-card);
  border: 1px solid var(--v-edge);
  border-radius: 0.8rem;
}

button {
  position: relative;
  display: grid;
  justify-items: center;
  width: 6.2rem;
  padding: 0.2rem;
  border: 0;
  border-radius: 0.6rem;
  background: none;
  font: inherit;
  font-size: 0.78rem;
  line-height: 1.15;

  &:hover {
    background: var(--v-shade);
  }
}

.number {
  position: absolute;
  left: 0.3rem;
  top: 0.1rem;
  font-weight: 700;
}

.drawn {
  width: 4.4rem;
}
</style>
