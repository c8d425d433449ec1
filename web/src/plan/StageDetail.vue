<script setup lang="ts">
import { computed, nextTick, ref, watch } from "vue";
import { useFacts, type LessonStage } from "@/api";
import { DialFace } from "@/dial";
import { counted } from "@/words";
import { handsOf } from "./handsOf";
import type { Spot } from "./useLesson";
import WayToWork from "./WayToWork.vue";

/** One stage with every item: its time can be swapped for another, pinned, or typed. */
const props = defineProps<{ stage: LessonStage; busy: boolean; wrong: string }>();
const emit = defineEmits<{
  swap: [spot: Spot];
  pin: [spot: Spot];
  put: [spot: Spot, time: string];
  choose: [id: string];
}>();

const facts = useFacts();
const typing = ref(-1);
const typed = ref("");
const field = ref<{ element: HTMLInputElement | null }[]>([]);

/** Items with the place of each among the stage's times. */
const items = computed(() => {
  let at = 0;
  return props.stage.items.map((item) => ({ ...item, at: item.time ? at++ : -1 }));
});
const spot = (at: number): Spot => ({ stage: props.stage.id, at });

watch(
  () => props.stage,
  () => (typing.value = -1),
);

async function type(at: number, time: string): Promise<void> {
  typing.value = at;
  typed.value = time;
  await nextTick();
  field.value[0]?.element?.select();
}

function put(at: number): void {
  const time = typed.value.trim().replace(".", ":");
  if (time) emit("put", spot(at), time);
  else typing.value = -1;
}
</script>

<template>
  <section :aria-label="stage.name">
    <p class="eyebrow">
      {{ stage.name }}: {{ stage.aim }} · {{ counted(stage.minutes, "minute") }},
      {{ stage.spare_seconds >= 30 ? `${stage.spare_seconds} seconds to spare` : "full" }}
    </p>
    <WayToWork :stage="stage" :busy="busy" @choose="$emit('choose', $event)" />
    <p v-if="stage.missing" class="note tone-quiet">
      <i class="bi bi-info-circle" aria-hidden="true"></i>
      There's time for {{ stage.missing }} more. Repeat some of these.
    </p>
    <ul class="list-unstyled p-0 m-0 d-grid gap-2">
      <li
        v-for="(item, place) in items"
        :key="place"
        class="d-grid align-items-center gap-07 on-card"
        :class="{ pinned: item.pinned, plain: !item.time }"
      >
        <template v-if="item.time && item.dial">
          <DialFace class="item-dial" :facts="facts.of(item.dial)" :hands="handsOf(item.sees)" />
          <div class="about">
            <form v-if="typing === item.at" class="typing d-flex gap-1" @submit.prevent="put(item.at)">
              <BFormInput
                ref="field"
                v-model="typed"
                size="sm"
                :state="wrong ? false : null"
                maxlength="5"
                :aria-label="`New time for ${item.time}`"
                @keydown.esc.stop="typing = -1"
              />
              <BButton type="submit" size="sm" variant="primary" :disabled="busy">Save</BButton>
            </form>
            <BButton
              v-else
              variant="bare"
              class="time fs-135 fw-bold lh-120"
              title="Type another time"
              @click="type(item.at, item.time)"
            >
              {{ item.time }}
            </BButton>
            <p v-if="typing === item.at && wrong" class="field-error fs-85 lh-120" role="alert">
              {{ wrong }}
            </p>
            <p class="m-0 fs-85 lh-120 quiet">{{ facts.kindName(item.kind) }}</p>
            <p v-if="item.from_step" class="m-0 fs-85 lh-120 quiet">
              from {{ item.from_step.toLowerCase() }}
            </p>
          </div>
          <div class="small-tools d-grid gap-1">
            <BButton
              variant="bare"
              :aria-label="`Swap ${item.time}`"
              title="Swap"
              :disabled="busy || item.pinned"
              @click="$emit('swap', spot(item.at))"
            >
              <i class="bi bi-arrow-repeat" aria-hidden="true"></i>
            </BButton>
            <BButton
              variant="bare"
              :aria-label="`Pin ${item.time}`"
              :aria-pressed="item.pinned"
              title="Pin"
              :disabled="busy"
              @click="$emit('pin', spot(item.at))"
            >
              <i class="bi" :class="item.pinned ? 'bi-pin-fill' : 'bi-pin'" aria-hidden="true"></i>
            </BButton>
          </div>
        </template>
        <p v-else class="without m-0 lh-130">
          <i
            class="bi"
            :class="item.kind === 'question' ? 'bi-chat-square' : 'bi-arrow-clockwise'"
            aria-hidden="true"
          ></i>
          {{ facts.kindName(item.kind) }}
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
ul {
  grid-template-columns: repeat(auto-fill, minmax(13.5rem, 1fr));
}

li {
  grid-template-columns: 4.6rem minmax(0, 1fr) auto;
  padding: 0.55rem;
  border: 1px solid var(--v-line);
  border-radius: 0.8rem;

  &.pinned {
    border-color: var(--v-hour);
  }

  &.plain {
    grid-template-columns: 1fr;
    background: none;
    border-style: dashed;
  }
}

.time {
  border-bottom: 1px dashed var(--v-edge);
}

.typing {
  .form-control {
    min-width: 4rem;
    padding: 0.2rem 0.4rem;
    background-image: none;
  }

  .btn {
    min-height: 0;
  }
}
</style>
