<script setup lang="ts">
import { computed, onMounted, ref } from "vue";
import { useFacts, type Lesson } from "@/api";
import { DialFace } from "@/dial";
import { useClasses } from "@/school";
import { WhoWasAway } from "@/shared";
import { counted, today } from "@/words";

/** The end of a lesson: what was not reached goes into the next review. */
const props = defineProps<{
  lesson: Lesson;
  notReached: readonly string[];
  busy: boolean;
  errorMessage: string;
}>();
defineEmits<{ keep: [leftOut: string[]]; back: [] }>();

const head = ref<HTMLElement>();
onMounted(() => head.value?.focus());

const facts = useFacts();
const classes = useClasses();
/** Those whom the lesson was for. */
const children = computed(() =>
  (classes.current?.children ?? []).filter((child) => props.lesson.child_ids?.includes(child.id) ?? true),
);
const chosen = ref(new Set(props.notReached));
/** Each clock once, where it comes first: whoever marks it marks the clock and not the place. */
const listed = new Set<string | null | undefined>();
const stages = props.lesson.stages
  .filter((stage) => stage.fresh)
  .map((stage) => ({
    ...stage,
    items: stage.items.filter((item) => !listed.has(item.time) && listed.add(item.time)),
  }))
  .filter((stage) => stage.items.some((item) => item.time && item.dial));

function toggle(time: string): void {
  if (!chosen.value.delete(time)) chosen.value.add(time);
}
</script>

<template>
  <section class="end align-self-center mx-auto my-0" aria-labelledby="end-head">
    <h2 id="end-head" ref="head" tabindex="-1">End of the lesson</h2>
    <p>
      Marked clocks go into the next review. Clocks you didn't show are marked already; mark any others you
      didn't get to.
    </p>
    <!-- Before the clocks: for most lessons it is the next key, and there may be forty clocks. -->
    <div class="d-flex gap-2 mb-4">
      <BButton variant="primary" :disabled="busy" @click="$emit('keep', [...chosen])">
        End lesson{{ chosen.size ? `, carry over ${counted(chosen.size, "clock")}` : "" }}
      </BButton>
      <BButton variant="outline-primary" @click="$emit('back')">Go back to it</BButton>
    </div>
    <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    <WhoWasAway v-if="children.length" :class-id="lesson.class_id" :day="today()" :children="children" />
    <div v-for="stage in stages" :key="stage.id" class="stage mt-08">
      <p class="eyebrow">{{ stage.name }}</p>
      <div class="clocks d-flex flex-wrap gap-1">
        <template v-for="(item, at) in stage.items" :key="at">
          <BButton
            v-if="item.time && item.dial"
            variant="bare"
            :aria-pressed="chosen.has(item.time)"
            :aria-label="`${item.time}, not reached`"
            @click="toggle(item.time)"
          >
            <DialFace :facts="facts.of(item.dial)" detail="small" />
            <i
              v-if="chosen.has(item.time)"
              class="bi bi-bookmark-fill position-absolute tone-minute"
              aria-hidden="true"
            ></i>
          </BButton>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped lang="scss">
.end {
  max-width: 70rem;
}

.clocks {
  button {
    position: relative;
    width: 3.6rem;
    padding: 0.3rem;
    border: 2px solid transparent;
    border-radius: 0.8rem;
    background: none;

    &[aria-pressed="true"] {
      border-color: var(--v-minute);
    }
  }

  .bi {
    right: 0.1rem;
    top: -0.2rem;
  }
}
</style>
