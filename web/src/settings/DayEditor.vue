<script setup lang="ts">
import { useSessionStorage } from "@vueuse/core";
import { computed, ref } from "vue";
import { setDay, useDoing, useFacts, type DayEvent, type SchoolClass } from "@/api";
import { useClasses } from "@/school";

/** The class's own day: what happens when, for the day ribbon of Show. */
const props = defineProps<{ schoolClass: SchoolClass }>();

const MOST = 12;
const facts = useFacts();
const classes = useClasses();
/** Kept in this tab until it is stored; a look elsewhere loses nothing. */
const events = useSessionStorage<DayEvent[]>(
  `vantick.draft.day.${props.schoolClass.id}`,
  props.schoolClass.day.map((event) => ({ ...event })),
  { writeDefaults: false },
);
const kept = ref(false);
const { busy, refused, doing } = useDoing();
/** A time that is none is refused by the contract, which knows no words for a teacher. */
const trouble = computed(() =>
  refused.value?.status === 400
    ? "Write each time as 8:45 or 15:30, and say what happens then."
    : (refused.value?.message ?? ""),
);
const changed = computed(() => JSON.stringify(events.value) !== JSON.stringify(props.schoolClass.day));

async function usual(): Promise<void> {
  await facts.loadDay();
  events.value = facts.usualDay.map((event) => ({ ...event }));
}

async function keep(): Promise<void> {
  kept.value = false;
  kept.value = await doing(async () => {
    const renewed = await setDay(props.schoolClass.id, events.value);
    classes.renew(renewed);
    events.value = renewed.day.map((event) => ({ ...event }));
  });
}
</script>

<template>
  <BCard>
    <h2 class="eyebrow">The class's own day, for a.m. and p.m.</h2>
    <form novalidate @submit.prevent="keep">
      <div v-for="(event, at) in events" :key="at" class="event d-grid gap-2 mb-04">
        <BFormInput v-model="event.time" :aria-label="`Time ${at + 1}`" placeholder="15:30" maxlength="5" />
        <BFormInput
          v-model="event.what"
          :aria-label="`What happens, ${at + 1}`"
          placeholder="choir"
          maxlength="40"
        />
        <BButton
          variant="link"
          :aria-label="`Take out ${event.what || at + 1}`"
          @click="events.splice(at, 1)"
        >
          <i class="bi bi-x-lg" aria-hidden="true"></i>
        </BButton>
      </div>
      <p v-if="!events.length" class="quiet">
        Nothing yet. The ribbon shows an ordinary school day until you write down your own.
      </p>
      <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
      <div class="ways d-flex flex-wrap align-items-center gap-2 mt-08">
        <BButton variant="primary" type="submit" :disabled="busy || !changed">Keep the day</BButton>
        <BButton
          v-if="events.length < MOST"
          variant="outline-primary"
          @click="events.push({ time: '', what: '' })"
        >
          Add a line
        </BButton>
        <BButton v-if="!events.length" variant="outline-primary" @click="usual">
          Begin with an ordinary day
        </BButton>
        <span v-if="kept && !changed" class="quiet" role="status">Kept.</span>
      </div>
    </form>
  </BCard>
</template>

<style scoped lang="scss">
.event {
  grid-template-columns: 6rem minmax(0, 1fr) auto;
}
</style>
