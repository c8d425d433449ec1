<script setup lang="ts">
import { useSessionStorage } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import { LIMITS, setDay, useApiMutation, useFacts, type DayEvent, type SchoolClass } from "@/api";
import { useClasses } from "@/school";

/** The class's own day: what happens when, for the day ribbon of Show. */
const props = defineProps<{ schoolClass: SchoolClass }>();

const MOST = 12;
const facts = useFacts();
const classes = useClasses();
/** Times as the class writes them. */
const asTyped = (day: readonly DayEvent[]): DayEvent[] =>
  day.map((event) => ({ ...event, time: facts.typedTime(event.time) }));
/** Kept in this tab until it is stored; a look elsewhere loses nothing. */
const draft = useSessionStorage<DayEvent[] | null>(`vantick.draft.day.${props.schoolClass.id}`, null, {
  serializer: { read: (text) => JSON.parse(text) as DayEvent[] | null, write: JSON.stringify },
});
const stored = computed(() => asTyped(props.schoolClass.day));
const events = ref<DayEvent[]>(draft.value ?? []);
const kept = ref(false);
const { busy, refused, run } = useApiMutation();
const errorMessage = computed(() => refused.value?.message ?? "");
const changed = computed(() => JSON.stringify(events.value) !== JSON.stringify(stored.value));
watch(events, () => (draft.value = changed.value ? events.value : null), { deep: true });

/** In whatever way the class comes to write its times, without what is being typed. */
watch(
  () => facts.choices,
  async () => {
    await facts.loadDay();
    if (!draft.value) events.value = asTyped(props.schoolClass.day);
  },
  { immediate: true },
);

async function usual(): Promise<void> {
  await facts.loadDay();
  events.value = asTyped(facts.usualDay);
}

async function keep(): Promise<void> {
  kept.value = false;
  kept.value = await run(async () => {
    const renewed = await setDay(props.schoolClass.id, { day: events.value });
    classes.renew(renewed);
    events.value = asTyped(renewed.day);
    draft.value = null;
  });
}
</script>

<template>
  <BCard>
    <h2 class="eyebrow">Your class's day, for a.m. and p.m.</h2>
    <form novalidate @submit.prevent="keep">
      <div v-for="(event, at) in events" :key="at" class="event d-grid gap-2 mb-04">
        <BFormInput
          v-model="event.time"
          :aria-label="`Time ${at + 1}`"
          :placeholder="facts.typedTime('15:30')"
          :maxlength="LIMITS.TypedTime"
        />
        <BFormInput
          v-model="event.what"
          :aria-label="`What happens, ${at + 1}`"
          placeholder="choir"
          :maxlength="LIMITS.DayEventName"
        />
        <BButton variant="link" :aria-label="`Delete ${event.what || at + 1}`" @click="events.splice(at, 1)">
          <i class="bi bi-x-lg" aria-hidden="true"></i>
        </BButton>
      </div>
      <p v-if="!events.length" class="quiet">
        Nothing yet. The day strip shows an ordinary school day until you enter your own.
      </p>
      <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
      <div class="ways d-flex flex-wrap align-items-center gap-2 mt-08">
        <BButton variant="primary" type="submit" :disabled="busy || !changed">Save day</BButton>
        <BButton
          v-if="events.length < MOST"
          variant="outline-primary"
          @click="events.push({ time: '', what: '' })"
        >
          Add a line
        </BButton>
        <BButton v-if="!events.length" variant="outline-primary" @click="usual">
          Start with an ordinary day
        </BButton>
        <span v-if="kept && !changed" class="quiet" role="status">Saved.</span>
      </div>
    </form>
  </BCard>
</template>

<style scoped lang="scss">
.event {
  grid-template-columns: 8rem minmax(0, 1fr) auto;
}
</style>
