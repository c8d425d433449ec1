<script setup lang="ts">
import { computed } from "vue";
import type { DeskTurn, Light } from "@/api/client";
import DialFace from "@/dial/DialFace.vue";
import DialLights from "@/dial/DialLights.vue";
import HelpOnClock from "./HelpOnClock.vue";

/** What a child looks at: a dial or a part of one, or a time in words or digits. */
const props = defineProps<{ turn: DeskTurn }>();
const item = computed(() => props.turn.items[0]);
/** A hand that is not on the dial is not known here; any place does for it. */
const facts = computed(() => ({
  hour_hand_degrees: item.value?.hour_hand_degrees ?? 0,
  minute_hand_degrees: item.value?.minute_hand_degrees ?? 0,
}));
const help = computed(() => item.value?.on_clock ?? null);
const dial = computed(() => !["words", "digits", "time_of_day"].includes(props.turn.sees));
const hands = computed(() => {
  if (props.turn.sees === "hour_hand") return "hour";
  if (props.turn.sees === "minute_hand") return "minute";
  return props.turn.sees === "numerals" ? "none" : "both";
});
const bare = computed(() => props.turn.sees === "bare_dial");
const lights = computed<Light[]>(() =>
  (item.value?.numerals ?? []).map((numeral) => ({ kind: "numeral", numeral })),
);
const numerals = computed(() => item.value?.numerals ?? []);
const label = computed(() => {
  if (hands.value === "hour") return "A clock with only its short hand";
  if (hands.value === "minute") return "A clock with only its long hand";
  return hands.value === "none" ? `From the ${numerals.value[0]} to the ${numerals.value[1]}` : "A clock";
});
/** Where in the class's own day it is. */
const when = computed(() => {
  const day = item.value?.day;
  if (!day) return "";
  return day.at ?? `after “${day.after}”, before “${day.before}”`;
});
</script>

<template>
  <div
    v-if="item"
    class="d-flex flex-column align-items-center justify-content-center gap-04 min-h-0"
    :class="{ dialled: dial }"
  >
    <p v-if="item.said" class="said m-0 text-center px-12 py-04 on-card fs-125">
      Somebody said:
      <strong>{{ item.said }}</strong>
    </p>
    <div v-if="dial" class="face flex-1 min-h-0 w-100 d-flex align-items-center justify-content-center">
      <DialFace
        :facts="facts"
        :hands="hands"
        :numerals="!bare"
        :marks="!bare"
        :label="label"
        :margin="help ? 18 : 3"
      >
        <template v-if="help" #under><HelpOnClock :help="help" under /></template>
        <template v-if="lights.length || help" #over>
          <DialLights :lights="lights" />
          <HelpOnClock v-if="help" :help="help" />
        </template>
      </DialFace>
    </div>
    <p v-if="numerals.length" class="when m-0 text-center fs-125">
      From the {{ numerals[0] }} to the {{ numerals[1] }}.
    </p>
    <p v-if="!dial" class="shown m-0 text-center fw-bold lh-120">{{ item.shown }}</p>
    <p v-if="when" class="when m-0 text-center fs-125">{{ when }}</p>
  </div>
</template>

<style scoped>
.face > :deep(.dial) {
  height: 100%;
  width: auto;
  max-width: 100%;
}

.said {
  border: 2px solid var(--v-line);
  border-radius: 1.2rem 1.2rem 1.2rem 0.2rem;
}

.shown {
  font-size: clamp(1.9rem, 7vmin, 3.6rem);
}
</style>
