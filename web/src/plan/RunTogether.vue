<script setup lang="ts">
import { computed, ref } from "vue";
import { useFacts, type LessonStage } from "@/api";
import { DialFace } from "@/dial";

/** The clocks of a stage all at once, for work on paper; the answers stay covered until asked for. */
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
  <div class="together">
    <ol :class="{ many: stage.items.length > 12 }" :style="grid">
      <template v-for="(item, at) in stage.items" :key="at">
        <li v-if="item.dial">
          <span class="number">{{ at + 1 }}</span>
          <DialFace
            class="paper-dial"
            :facts="facts.of(item.dial)"
            :hands="item.sees === 'hour_hand' ? 'hour' : item.sees === 'minute_hand' ? 'minute' : 'both'"
          />
          <span v-if="item.prompt" class="prompt">{{ item.prompt }}</span>
          <span v-if="uncovered" class="answer">{{ item.answer }}</span>
          <span v-else class="cover"><span class="visually-hidden">covered</span></span>
        </li>
      </template>
    </ol>
    <div class="ways">
      <BButton variant="primary" @click="toggle">
        {{ uncovered ? "Cover the answers" : "Uncover the answers" }}
        <kbd class="key" aria-hidden="true">Space</kbd>
      </BButton>
      <slot />
    </div>
  </div>
</template>

<style scoped lang="scss">
.together {
  height: 100%;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 0.75rem;
}

ol {
  flex: 1;
  min-height: 0;
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.75rem 1.25rem;
}

li {
  position: relative;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  gap: 0.3rem;
  min-height: 0;
}

.paper-dial {
  flex: 0 1 auto;
  min-height: 0;
}

.number {
  position: absolute;
  left: 0;
  top: 0;
  color: var(--v-quiet);
}

.answer {
  font-weight: 700;
  font-size: 1.15rem;
  line-height: 1.2;
  min-height: 1.4rem;
  text-align: center;
}

.many .answer {
  font-size: 1rem;
}

.prompt {
  font-size: 0.95rem;
  line-height: 1.2;
  text-align: center;
}

.cover {
  width: 80%;
  height: 1.4rem;
  border-radius: 0.5rem;
  background: repeating-linear-gradient(135deg, var(--v-shade) 0 10px, var(--v-cover) 10px 20px);
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  justify-content: center;
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
