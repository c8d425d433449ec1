<script setup lang="ts">
import { computed, ref } from "vue";
import { useEventListener } from "@vueuse/core";
import { useDraggable } from "vue-draggable-plus";
import { useFacts, type TermLesson } from "@/api";
import { StepDial } from "@/dial";
import { mondayOf, plusDays, shortDay, sinceMonday } from "@/words";
import { kindWords, whichLesson } from "./words";

/** Weeks down, lessons across: each lesson with its step as a dial. A lesson is dragged onto the day to which it moves. */
const props = defineProps<{ lessons: TermLesson[]; selected: string; today: string }>();
/** Whether weeks that are over are shown as well. */
const all = defineModel<boolean>("all", { default: false });
const emit = defineEmits<{ select: [day: string]; move: [day: string, to: string] }>();

const DAYS = 7;
const facts = useFacts();
const columns = computed(() => [...new Set(props.lessons.map((lesson) => sinceMonday(lesson.day)))].sort());
interface Cell {
  key: string;
  lesson?: TermLesson;
  week?: string;
}

/** A row a week: its name, then a lesson for each day that has any; weeks without one are told as one gap. */
const weeks = computed(() =>
  [...new Set(props.lessons.map((lesson) => mondayOf(lesson.day)))].map((monday, at) => ({
    monday,
    number: at + 1,
    over: plusDays(monday, DAYS) <= props.today,
  })),
);
/** Weeks that are over are folded but for the last one, where others follow. */
const folded = computed(() => {
  const over = weeks.value.filter((week) => week.over).length;
  return all.value || over === weeks.value.length ? 0 : Math.max(0, over - 1);
});
const cells = computed<Cell[]>(() => {
  return weeks.value.slice(folded.value).flatMap(({ monday, number }) => [
    { key: `week ${monday}`, week: `Week ${number}` },
    ...columns.value.map((column) => {
      const day = plusDays(monday, column);
      return { key: day, lesson: props.lessons.find((lesson) => lesson.day === day) };
    }),
  ]);
});

const name = (lesson: TermLesson): string => (lesson.step ? facts.rung(lesson.step).name : kindWords(lesson));
const which = computed(() => whichLesson(props.lessons));
const otherwise = (lesson: TermLesson): boolean => Boolean(lesson.given && lesson.given !== lesson.step);
const instead = (lesson: TermLesson): string => `taught: ${facts.rung(lesson.given ?? "").name}`;
/** First what is seen, in its order, so that who speaks to the page can say what they see; then what small signs say. */
const spoken = (lesson: TermLesson): string =>
  [
    shortDay(lesson.day),
    name(lesson),
    lesson.step ? (which.value.get(lesson.day) ?? "") : "",
    otherwise(lesson) ? instead(lesson) : "",
    lesson.check ? "with a check" : "",
    lesson.settled ?? "",
  ]
    .filter(Boolean)
    .join(", ");

const grid = ref<HTMLElement | null>(null);
const over = ref("");

/** The day under a pointer that is let go. */
function dayAt(event: Event): string {
  const point = "changedTouches" in event ? (event as TouchEvent).changedTouches[0] : (event as MouseEvent);
  if (!point) return "";
  const cell = document.elementFromPoint(point.clientX, point.clientY)?.closest<HTMLElement>("[data-day]");
  return cell?.dataset.day ?? "";
}

const dragged = ref(false);
useEventListener(document, ["pointermove", "touchmove"], (event) => {
  if (dragged.value) over.value = dayAt(event);
});

/** Nothing is moved in the page itself: where a lesson is let go is told, and what follows is shown. */
useDraggable(grid, {
  draggable: ".movable",
  sort: false,
  delay: 150,
  delayOnTouchOnly: true,
  forceFallback: true,
  fallbackOnBody: true,
  fallbackTolerance: 5,
  onStart: () => (dragged.value = true),
  onEnd: (event) => {
    [dragged.value, over.value] = [false, ""];
    const day = event.item.dataset.day ?? "";
    const to = dayAt((event as unknown as { originalEvent: Event }).originalEvent);
    if (to && day && to !== day) emit("move", day, to);
  },
});
</script>

<template>
  <BButton v-if="folded || all" class="mb-2" variant="outline-primary" size="sm" @click="all = !all">
    {{ all ? "Hide past weeks" : `Show ${folded} past weeks` }}
  </BButton>
  <div
    ref="grid"
    class="term-grid d-grid gap-04 align-items-stretch"
    :style="{ '--columns': columns.length }"
  >
    <div
      v-for="cell in cells"
      :key="cell.key"
      :class="
        cell.week
          ? 'week align-self-center fs-90 quiet'
          : ['cell', { movable: cell.lesson && !cell.lesson.over && cell.lesson.step }]
      "
      :data-day="cell.lesson?.over === false ? cell.lesson.day : undefined"
    >
      <template v-if="cell.week">{{ cell.week }}</template>
      <BButton
        v-else-if="cell.lesson"
        variant="bare"
        class="lesson choice d-grid gap-06 align-items-center px-06 py-04 rounded-08 text-start"
        :class="[
          cell.lesson.kind,
          { over: cell.lesson.over, today: cell.lesson.day === today, target: over === cell.lesson.day },
        ]"
        :aria-pressed="selected === cell.lesson.day"
        :aria-label="spoken(cell.lesson)"
        @click="$emit('select', cell.lesson.day)"
      >
        <StepDial v-if="cell.lesson.step" class="lesson-dial" :step="cell.lesson.step" />
        <span class="text d-grid lh-120">
          <span class="day">{{ shortDay(cell.lesson.day) }}</span>
          {{ " " }}
          <span class="name">{{ name(cell.lesson) }}</span>
          {{ " " }}
          <span class="marks">
            {{ cell.lesson.step ? which.get(cell.lesson.day) : "" }}
            <i
              v-if="cell.lesson.check"
              class="bi bi-ui-checks"
              title="ends with a check"
              aria-hidden="true"
            ></i>
            <i
              v-if="cell.lesson.settled === 'pinned'"
              class="bi bi-pin-angle-fill"
              title="pinned"
              aria-hidden="true"
            ></i>
            <i
              v-if="cell.lesson.settled === 'moved'"
              class="bi bi-arrows-move"
              title="moved"
              aria-hidden="true"
            ></i>
            <i v-if="cell.lesson.given" class="bi bi-check-lg" title="taught" aria-hidden="true"></i>
          </span>
          <span v-if="otherwise(cell.lesson)" class="instead">{{ instead(cell.lesson) }}</span>
        </span>
      </BButton>
      <span v-else class="none rounded-08" aria-hidden="true"></span>
    </div>
  </div>
</template>

<style scoped lang="scss">
.term-grid {
  grid-template-columns: 4.2rem repeat(var(--columns), minmax(0, 1fr));
}

.cell {
  display: grid;
}

.lesson {
  grid-template-columns: 3.1rem minmax(0, 1fr);
  min-height: 4.1rem;

  &.new {
    border-left: 6px solid var(--v-hour);
  }

  &.look_back {
    border-left: 6px solid var(--v-minute);
  }

  &.open,
  &.skipped {
    grid-template-columns: minmax(0, 1fr);
    border-style: dashed;
    color: var(--v-quiet);

    &:not([aria-pressed="true"]) {
      background: none;
    }
  }

  &.skipped .name {
    text-decoration: line-through;
  }

  &.over:not([aria-pressed="true"]) {
    background: var(--v-shade);
    border-color: transparent;
  }

  &.today {
    outline: 3px solid var(--v-minute);
    outline-offset: 1px;
  }

  &.target {
    border-color: var(--v-minute);
  }
}

.day,
.marks,
.instead {
  font-size: 0.8rem;
  color: var(--v-quiet);
}

.instead {
  color: var(--v-slip);
}

.none {
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--v-shade) 6px 8px);
}

@media (max-width: 40rem) {
  .term-grid {
    grid-template-columns: minmax(0, 1fr);
  }

  .none {
    display: none;
  }

  .week {
    padding-top: 0.5rem;
  }
}

/* A whole term stands on one page. */
@media print {
  button.mb-2 {
    display: none;
  }

  .term-grid {
    grid-template-columns: 13mm repeat(var(--columns), minmax(0, 1fr));
    gap: 0.8mm;
  }

  .week {
    font-size: 7pt;
  }

  .lesson {
    grid-template-columns: 6.5mm minmax(0, 1fr);
    gap: 1.5mm;
    min-height: 0;
    height: 7.6mm;
    padding: 0 1.2mm;
    border-width: 0.3mm;
    border-radius: 1mm;
    overflow: hidden;

    &.today,
    &[aria-pressed="true"] {
      outline: 0;
      background: var(--v-card);
    }
  }

  .text {
    display: flex;
    gap: 1.2mm;
    align-items: baseline;
    font-size: 7.5pt;
    white-space: nowrap;
  }

  .day,
  .marks,
  .instead {
    font-size: 6.5pt;
  }
}
</style>
