<script setup lang="ts">
import { computed, ref } from "vue";
import { useFacts, type LessonStage } from "@/api";
import { DialFace } from "@/dial";
import { handsOf } from "./handsOf";

/** The clocks of a stage all at once, for work on paper; the answers stay hidden until asked for. */
const props = defineProps<{ stage: LessonStage }>();

const facts = useFacts();
const uncovered = ref(false);

/** So many rows that every clock is seen at once. */
const rows = computed(() => [4, 12, 21].filter((most) => props.stage.items.length > most).length + 1);
const grid = computed(() => ({
  gridTemplateRows: `repeat(${rows.value}, minmax(0, 1fr))`,
  gridTemplateColumns: `repeat(${Math.ceil(props.stage.items.length / rows.value)}, minmax(0, 1fr))`,
}));

function toggle(): void {
  uncovered.value = !uncovered.value;
}

defineExpose({ toggle });
</script>

<template>
  <div class="together h-100 min-h-0 d-flex flex-column gap-075">
    <ol class="min-h-0 list-unstyled m-0 p-0" :class="{ many: stage.items.length > 12 }" :style="grid">
      <template v-for="(item, at) in stage.items" :key="at">
        <li
          v-if="item.dial"
          class="position-relative d-flex flex-column align-items-center justify-content-center gap-03 min-h-0"
        >
          <span class="number position-absolute start-0 top-0 tone-quiet">{{ at + 1 }}</span>
          <DialFace class="paper-dial min-h-0" :facts="facts.of(item.dial)" :hands="handsOf(item.sees)" />
          <span v-if="item.prompt" class="prompt text-center fs-95 lh-120">{{ item.prompt }}</span>
          <span v-if="uncovered" class="answer fw-bold text-center fs-115 lh-120">{{ item.answer }}</span>
          <span v-else class="cover under-paper rounded-05">
            <span class="visually-hidden">hidden</span>
          </span>
        </li>
      </template>
    </ol>
    <div class="d-flex flex-wrap gap-2 justify-content-center">
      <BButton variant="primary" @click="toggle">
        {{ uncovered ? "Hide answers" : "Show answers" }}
        <kbd class="key" aria-hidden="true">Space</kbd>
      </BButton>
      <slot />
    </div>
  </div>
</template>

<style scoped lang="scss">
ol {
  flex: 1;
  display: grid;
  gap: 0.75rem 1.25rem;
}

.paper-dial {
  flex: 0 1 auto;
}

.answer {
  min-height: 1.4rem;
}

.many .answer {
  font-size: 1rem;
}

.cover {
  width: 80%;
  height: 1.4rem;
}

@media (max-width: 60rem) {
  ol {
    display: flex;
    flex-wrap: wrap;
    overflow-y: auto;
  }

  li {
    width: 10rem;
  }
}
</style>
