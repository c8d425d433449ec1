<script setup lang="ts">
import { useTimeout } from "@vueuse/core";
import { computed, nextTick, onMounted, ref, watch } from "vue";
import type { AnswerFeedback } from "@/api/client";
import DialFace from "@/dial/DialFace.vue";
import DialLenses from "@/dial/DialLenses.vue";
import DialLights from "@/dial/DialLights.vue";
import type { Loose } from "@/dial/useLooseHands";
import { useMoving } from "@/dial/useMoving";
import type { useVoice } from "@/voice/useVoice";
import DeskButton from "./DeskButton.vue";

/** The reading in steps, one sentence after the other, each lit up on the dial. */
const props = defineProps<{
  help: NonNullable<AnswerFeedback["help"]>;
  sign: string;
  voice: ReturnType<typeof useVoice>;
  /** Hands that the child set: they are put right before its eyes. */
  from?: Loose;
  /** It is another clock, before the child's own. */
  first?: boolean;
}>();
const emit = defineEmits<{ next: [] }>();

const FIRST = "Look at this clock first.";
const NO_LENSES: ReadonlySet<string> = new Set();
/** Milliseconds in which a child sees its own hands once more, and in which they go where they belong (judgement). */
const SEEN = 700;
const PUT_RIGHT = 1200;
const at = ref(0);
const { ready } = useTimeout(SEEN, { controls: true });
const hands = useMoving(() => (ready.value || !props.from ? props.help : props.from), undefined, PUT_RIGHT);
const forward = ref<InstanceType<typeof DeskButton>>();
const step = computed(() => props.help.steps[at.value]);
const lights = computed(() => step.value?.lights ?? []);
const lit = computed(() => lights.value.filter((light) => light.kind === "hand").map((light) => light.hand));
const last = computed(() => at.value >= props.help.steps.length - 1);

function go(): void {
  if (last.value) emit("next");
  else at.value += 1;
}

const say = (): void => props.voice.say(step.value?.sentence ?? "");
watch(at, say);
onMounted(() => {
  if (props.first) props.voice.say(FIRST, step.value?.sentence ?? "");
  else say();
  void nextTick(() => (forward.value?.$el as HTMLElement | undefined)?.focus());
});
</script>

<template>
  <main class="help flex-1 min-h-0 d-grid row-gap-06 column-gap-20 px-3 pt-06 pb-09">
    <div class="face min-h-0 d-flex align-items-center justify-content-center">
      <DialFace
        :facts="hands"
        :margin="16"
        :lit="lit"
        :label="first ? 'A clock to look at' : 'The same clock'"
      >
        <template #under>
          <DialLenses :lenses="NO_LENSES" :lights="lights" past-word="" to-word="" />
        </template>
        <template #over><DialLights :lights="lights" /></template>
      </DialFace>
    </div>
    <section class="said align-self-center">
      <h1 class="mb-2 fs-130 tone-quiet">{{ first ? FIRST : "Step by step" }}</h1>
      <ol class="d-grid gap-2 m-0 p-0 list-none lh-130" aria-live="polite">
        <li
          v-for="(line, place) in help.steps.slice(0, at + 1)"
          :key="place"
          class="tone-quiet"
          :class="{ now: place === at }"
        >
          {{ line.sentence }}
        </li>
      </ol>
    </section>
    <DeskButton ref="forward" class="go justify-self-end" @click="go">
      {{ last ? (first ? "Your turn" : "Keep going") : "Next step" }}
    </DeskButton>
  </main>
</template>

<style scoped lang="scss">
.help {
  grid-template: "face" minmax(0, 1fr) "said" auto "go" auto / minmax(0, 1fr);
}

.face {
  grid-area: face;
}

.face :deep(.dial) {
  height: 100%;
  width: auto;
  max-width: 100%;
}

.said {
  grid-area: said;
  min-height: 8.5rem;
}

ol {
  font-size: clamp(1.1rem, 1.4vw + 0.7rem, 1.5rem);
}

.now {
  color: var(--v-ink);
  font-weight: 700;
}

.go {
  grid-area: go;
}

@media (orientation: landscape) {
  .help {
    grid-template: "face said" minmax(0, 1fr) "face go" auto / minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
