<script setup lang="ts">
import { useElementSize } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import { useFacts, type Lesson } from "@/api";
import { DialFace } from "@/dial";
import { handsOf } from "./handsOf";
import { counted } from "@/words";

/**
 * The six stages drawn to scale in minutes, with their times as small dials. The lines between them are moved
 * with the pointer or the arrow keys: a minute goes from one stage to its neighbour.
 */
const props = defineProps<{ lesson: Lesson; selected: string; busy: boolean }>();
const emit = defineEmits<{ select: [stage: string]; move: [minutes: Record<string, number>] }>();

const facts = useFacts();
const LEAST = facts.catalogue?.limits.least_stage_minutes ?? 1;
const strip = ref<HTMLElement>();
/** Minutes while a line is moved; what core settled otherwise. */
const minutes = ref<number[]>([]);
const held = ref<{ line: number; x: number; from: number[] } | null>(null);
const total = computed(() => props.lesson.minutes);

watch(
  () => props.lesson,
  (lesson) => (minutes.value = lesson.stages.map((stage) => stage.minutes)),
  { immediate: true },
);

/** Clocks are as large as a stage has room for, so that time to spare is seen as room. */
const { width } = useElementSize(strip);
const ROOM = { height: 150, line: 15, padding: 24, gap: 4, least: 24, most: 62 };
function clockSize(at: number): string {
  const items = props.lesson.stages[at]?.items.length || 1;
  const share = (minutes.value[at] ?? 0) / Math.max(1, total.value);
  const room = (width.value - ROOM.line * (props.lesson.stages.length - 1)) * share - ROOM.padding;
  const fits = (size: number): boolean => {
    const across = Math.max(1, Math.floor((room + ROOM.gap) / (size + ROOM.gap)));
    return Math.ceil(items / across) * (size + ROOM.gap) <= ROOM.height;
  };
  let size = ROOM.most;
  while (size > ROOM.least && !fits(size)) size -= 1;
  return `${Math.min(size, Math.max(ROOM.least, room))}px`;
}

function moved(from: readonly number[], line: number, by: number): number[] {
  const left = from[line] ?? 0;
  const right = from[line + 1] ?? 0;
  const kept = Math.max(LEAST - left, Math.min(by, right - LEAST));
  return from.map((value, at) => (at === line ? value + kept : at === line + 1 ? value - kept : value));
}

function settle(next: number[]): void {
  const now = props.lesson.stages.map((stage) => stage.minutes);
  if (next.every((value, at) => value === now[at])) return;
  emit(
    "move",
    Object.fromEntries(props.lesson.stages.map((stage, at) => [stage.id, next[at] ?? stage.minutes])),
  );
}

function press(event: KeyboardEvent, line: number): void {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (!by || props.busy) return;
  event.preventDefault();
  settle(moved(minutes.value, line, by));
}

function hold(event: PointerEvent, line: number): void {
  held.value = { line, x: event.clientX, from: [...minutes.value] };
  (event.target as HTMLElement).setPointerCapture(event.pointerId);
}

function pull(event: PointerEvent): void {
  if (!held.value || !strip.value) return;
  const by = Math.round(((event.clientX - held.value.x) / strip.value.clientWidth) * total.value);
  minutes.value = moved(held.value.from, held.value.line, by);
}

function drop(): void {
  if (held.value) settle(minutes.value);
  held.value = null;
}
</script>

<template>
  <div ref="strip" class="strip d-flex align-items-stretch" role="group" aria-label="The lesson in six parts">
    <template v-for="(stage, at) in lesson.stages" :key="stage.id">
      <BButton
        variant="bare"
        class="stage min-w-0 overflow-hidden d-flex text-start font-inherit"
        :class="[stage.id, { narrow: (minutes[at] ?? 0) / total < 0.08 }]"
        :style="{ flexGrow: minutes[at], '--clock': clockSize(at) }"
        :aria-pressed="stage.id === selected"
        @click="$emit('select', stage.id)"
      >
        <span class="head d-grid mb-2 lh-120">
          <span class="name fw-bold">{{ stage.name }}</span>
          <span class="minutes">{{ minutes[at] }} min</span>
          <span class="aim mt-02 fs-90 text-anywhere">{{ stage.aim }}</span>
        </span>
        <span class="dials flex-wrap gap-1 align-content-start d-flex" aria-hidden="true">
          <template v-for="(item, place) in stage.items" :key="place">
            <DialFace
              v-if="item.dial"
              class="mini"
              :facts="facts.of(item.dial)"
              detail="small"
              :hands="handsOf(item.sees)"
            />
            <span v-else class="other d-grid rounded-circle on-shade" :title="facts.kindName(item.kind)">
              <i class="bi" :class="item.kind === 'question' ? 'bi-chat-square' : 'bi-arrow-clockwise'"></i>
            </span>
          </template>
        </span>
      </BButton>
      <div
        v-if="at < lesson.stages.length - 1"
        class="line flex-none position-relative touch-none"
        role="separator"
        tabindex="0"
        aria-orientation="vertical"
        :aria-label="`Between ${stage.name} and ${lesson.stages[at + 1]?.name}`"
        :aria-valuenow="minutes[at]"
        :aria-valuemin="LEAST"
        :aria-valuemax="(minutes[at] ?? 0) + (minutes[at + 1] ?? 0) - LEAST"
        :aria-valuetext="`${stage.name} ${counted(minutes[at] ?? 0, 'minute')}`"
        @keydown="press($event, at)"
        @pointerdown="hold($event, at)"
        @pointermove="pull"
        @pointerup="drop"
        @pointercancel="drop"
      ></div>
    </template>
  </div>
</template>

<style scoped lang="scss">
.strip {
  min-height: 14rem;
}

.stage {
  flex: 1 1 0;
  flex-direction: column;
  padding: 0.6rem 0.55rem 0.7rem;
  background: var(--v-card);
  border: 1px solid var(--v-line);
  border-top: 4px solid var(--v-edge);
  border-radius: 0.7rem;

  &[aria-pressed="true"] {
    border-color: var(--v-hour);
    background: var(--v-hour-tint);
  }
}

.minutes {
  color: var(--v-quiet);
  font-size: 0.95rem;
}

.narrow .aim {
  display: none;
}

.narrow .head {
  writing-mode: vertical-rl;
  margin: 0;
  white-space: nowrap;
}

.narrow .dials {
  display: none;
}

.mini,
.other {
  width: var(--clock);
  height: var(--clock);
}

.other {
  place-items: center;
}

.line {
  width: 0.9rem;
  cursor: col-resize;

  &::after {
    content: "";
    position: absolute;
    left: calc(50% - 2px);
    top: calc(50% - 1.1rem);
    width: 4px;
    height: 2.2rem;
    border-radius: 2px;
    background: var(--v-edge);
  }
}

@media (max-width: 60rem) {
  .strip {
    position: relative;
    overflow-x: auto;
  }

  .stage {
    min-width: 6rem;
  }
}
</style>
