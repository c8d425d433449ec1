<script setup lang="ts">
import { computed, onMounted, provide, ref, watch } from "vue";
import { BUTTONS } from "./adjusted";
import { STILL } from "@/dial/useMoving";
import DeskBar from "./DeskBar.vue";
import JoinDesk from "./JoinDesk.vue";
import OwnDials from "./OwnDials.vue";
import RoundEnd from "./RoundEnd.vue";
import TaskView from "./TaskView.vue";
import { useDesk } from "./useDesk";
import { useVoice } from "@/voice/useVoice";

/** A child's side: joining, tasks one at a time, and the dials they can read. Nothing of the teacher's is here. */
const { here, done, open, answer, showMe, goOn, again, leave } = useDesk();
const adjustments = computed(() => here.value.state?.adjustments);
const voice = useVoice(
  () => here.value.state?.child.id,
  () => adjustments.value?.voice,
);
provide(STILL, () => Boolean(adjustments.value?.calm));
provide(BUTTONS, () => Boolean(adjustments.value?.buttons));
/** Letters and what is measured by them are larger on the whole page. */
watch(
  () => Boolean(adjustments.value?.larger),
  (larger) => document.documentElement.classList.toggle("larger", larger),
);
const own = ref(false);
onMounted(open);

const notice = computed(() => {
  const { away, news, phase, waiting } = here.value;
  if (!away) return news;
  if (phase === "opening") return "No connection. Trying again…";
  const kept = waiting.length ? ` (${waiting.length})` : "";
  return news || `No connection. Keep going. Your answers are saved here${kept}.`;
});

async function leaveFor(): Promise<void> {
  own.value = false;
  await leave();
}
</script>

<template>
  <div
    class="desk d-flex flex-column overflow-hidden"
    :class="{ 'left-handed': adjustments?.left_handed, calm: adjustments?.calm }"
  >
    <DeskBar
      v-if="here.state"
      :name="here.state.child.name"
      :done="done"
      :of="here.state.round.of"
      :voice="voice"
      :counting="here.phase !== 'ended' && !own"
      :counted="!adjustments?.unhurried"
      @leave="leaveFor"
    />
    <p class="news d-none m-0 px-3 py-035 on-slip-tint text-center" :class="{ shown: notice }" role="status">
      {{ notice }}
    </p>
    <JoinDesk v-if="here.phase === 'joining'" @joined="open" />
    <OwnDials v-else-if="own" :voice="voice" @back="own = false" />
    <TaskView
      v-else-if="here.turn && (here.phase === 'asking' || here.phase === 'answered')"
      :key="here.turn.id"
      :turn="here.turn"
      :feedback="here.feedback"
      :kept="here.phase === 'answered' && !here.feedback"
      :busy="here.busy"
      :voice="voice"
      :can-show="here.state?.kind === 'practice' && !here.away"
      @answer="answer"
      @show="showMe"
      @next="goOn"
    />
    <RoundEnd
      v-else-if="here.phase === 'ended' && here.state && here.going"
      :end="here.going.end"
      :kind="here.state.kind"
      :open="here.going.open"
      :voice="voice"
      @again="again"
      @own="own = true"
      @leave="leaveFor"
    />
    <main v-else-if="here.phase === 'waiting'" class="middle m-auto p-4 text-center fs-125">
      <h1 class="fs-160">You're all done for now.</h1>
      <p>Your answers are saved. More will come when we're connected again.</p>
    </main>
    <main v-else class="middle m-auto p-4 text-center fs-125" aria-live="polite"><p>Just a moment…</p></main>
  </div>
</template>

<style scoped lang="scss">
.desk {
  height: 100vh;
  height: 100dvh;
}

.news {
  &.shown {
    display: block;
  }
}

.middle {
  max-width: 34rem;
}
</style>
