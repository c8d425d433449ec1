<script setup lang="ts">
import { ref } from "vue";
import type { Item } from "@/api";
import { DialFace, TurnedDial, type Loose } from "@/dial";

/** Pictures of what a child may have drawn, each with the number that stands for it; or the hands set as they are drawn. */
const props = defineProps<{ drawings: Item["drawings"] }>();
const emit = defineEmits<{ pick: [answer: string] }>();

const start = props.drawings[0];
const hands = ref<Loose>({
  hour_hand_degrees: start?.hour_hand_degrees ?? 0,
  minute_hand_degrees: start?.minute_hand_degrees ?? 0,
});

function take(): void {
  emit("pick", `hour=${hands.value.hour_hand_degrees} minute=${hands.value.minute_hand_degrees}`);
}
</script>

<template>
  <div class="picker d-grid gap-2">
    <ul class="drawings d-flex flex-wrap align-content-start gap-03 list-none m-0 p-0">
      <li v-for="(drawing, at) in drawings" :key="drawing.answer">
        <BButton
          variant="bare"
          class="position-relative d-grid justify-items-center p-02 rounded-06 lh-115"
          tabindex="-1"
          @click="$emit('pick', drawing.answer)"
        >
          <span class="number position-absolute fw-bold">{{ at + 1 }}</span>
          <DialFace class="drawn" :facts="drawing" :label="drawing.name" />
          <span>{{ drawing.name }}</span>
        </BButton>
      </li>
    </ul>
    <div class="as-drawn d-grid gap-1 justify-items-center">
      <TurnedDial :model-value="0" :loose="hands" @loosen="hands = $event" />
      <BButton size="sm" variant="outline-primary" tabindex="-1" @click="take">Your drawing</BButton>
    </div>
  </div>
</template>

<style scoped lang="scss">
.picker {
  grid-template-columns: minmax(0, 1fr) 11rem;
  width: 40rem;
  max-width: 100%;
}

.drawings button {
  width: 6.2rem;
  font-size: 0.78rem;

  &:hover {
    background: var(--v-shade);
  }
}

.number {
  left: 0.3rem;
  top: 0.1rem;
}

.drawn {
  width: 4.4rem;
}

.as-drawn {
  height: 13rem;
  grid-template-rows: minmax(0, 1fr) auto;
}
</style>
