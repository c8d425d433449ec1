<script setup lang="ts">
import { ref } from "vue";
import {
  LIMITS,
  readCalendarFile,
  setTerm,
  useApiMutation,
  useFacts,
  type DayFound,
  type DaysOff,
  type Term,
  type TermSet,
} from "@/api";
import { FieldGroup, FileField } from "@/ui";
import { counted, dayWords, mondayOf, plusDays, today } from "@/words";
import DaysFound from "./DaysFound.vue";
import { useOftenOff } from "./useOftenOff";
import { weekFrom, weekdayWords } from "./words";

/** When the term is, on which days there are lessons, and what is to be known by when. */
const props = defineProps<{ classId: number; term: TermSet | null; standards: string[] }>();
const emit = defineEmits<{ set: [term: Term]; close: [] }>();

const USUAL = 40;
const WEEKS = 12;
const facts = useFacts();
const nextMonday = mondayOf(plusDays(today(), 6));
const first = ref(props.term?.first_day ?? nextMonday);
const last = ref(props.term?.last_day ?? plusDays(nextMonday, WEEKS * 7 - 3));
const minutes = ref<Record<string, number>>({
  ...(props.term?.weekdays ?? { monday: USUAL, wednesday: USUAL, friday: USUAL }),
});
const off = ref<DaysOff[]>(props.term?.days_off.map((days) => ({ ...days })) ?? []);
const deleteOff = useOftenOff(first, last, off);
const aim = ref(props.term?.aim ?? "fives");
const aimDay = ref(props.term?.aim_day ?? last.value);
const file = ref<File | null>(null);
const unread = ref<{ name: string; why: string }[]>([]);
const found = ref("");
/** What the file has, until a teacher has said which of it are days off. */
const days = ref<DayFound[]>([]);
const list = ref<InstanceType<typeof DaysFound>>();
const { busy, wrong, elsewhere, run } = useApiMutation();
const reading = useApiMutation();

function lessonOn(day: string, is: boolean): void {
  if (is) minutes.value[day] = USUAL;
  else minutes.value = Object.fromEntries(Object.entries(minutes.value).filter(([kept]) => kept !== day));
}

/** This week, or the first one of a term that has not begun. */
function addOff(): void {
  const week = mondayOf(today());
  const from = week > first.value && week <= last.value ? week : first.value;
  off.value.push({ from, to: plusDays(from, 4), name: "" });
}

/** The last day follows the first: as many days as before. */
function startOff(days: DaysOff, from: string): void {
  const length = Math.round((Date.parse(days.to) - Date.parse(days.from)) / 86_400_000);
  days.from = from;
  if (from && length >= 0) days.to = plusDays(from, length);
  else if (from) days.to = from;
}

/** What is in the file is shown first; what is there already is not shown again. */
async function read(): Promise<void> {
  if (!file.value) return;
  const chosen = file.value;
  await reading.run(async () => {
    const calendar = await readCalendarFile(props.classId, chosen, first.value, last.value);
    days.value = calendar.days.filter(
      (day) => !off.value.some((known) => known.from === day.from && known.to === day.to),
    );
    unread.value = calendar.unread;
    found.value = calendar.days.length
      ? `${counted(calendar.days.length, "entry", "entries")} found in ${chosen.name}.`
      : `No whole days in this term found in ${chosen.name}.`;
  });
}

function take(fresh: DaysOff[]): void {
  off.value = [...off.value, ...fresh].sort((one, other) => one.from.localeCompare(other.from));
  leave();
}

/** The same file can be chosen again. */
function leave(): void {
  days.value = [];
  file.value = null;
}

function set(): Promise<boolean> {
  // What is ticked counts, also where it was not added by itself.
  list.value?.take();
  return run(async () => {
    const days_off = off.value.map(({ from, to, name }) => ({
      from,
      to: to || from,
      name: name.slice(0, 80),
    }));
    const weekdays = Object.fromEntries(
      Object.entries(minutes.value).map(([day, length]) => [day, length || 0]),
    );
    const body = {
      first_day: first.value,
      last_day: last.value,
      weekdays,
      days_off,
      aim: aim.value,
      aim_day: aimDay.value,
    };
    emit("set", await setTerm(props.classId, body));
  });
}
</script>

<template>
  <BForm class="term-form d-grid gap-3" @submit.prevent="set">
    <p
      v-if="elsewhere('first_day', 'last_day', 'weekdays', 'days_off', 'aim', 'aim_day')"
      role="alert"
      class="field-error"
    >
      {{ elsewhere("first_day", "last_day", "weekdays", "days_off", "aim", "aim_day") }}
    </p>
    <div class="d-flex flex-wrap gap-3">
      <FieldGroup id="first-day" label="First day" :wrong="wrong('first_day')">
        <BFormInput id="first-day" v-model="first" type="date" required />
      </FieldGroup>
      <FieldGroup id="last-day" label="Last day" :wrong="wrong('last_day')">
        <BFormInput id="last-day" v-model="last" type="date" required />
      </FieldGroup>
    </div>
    <fieldset>
      <legend>Lesson days and minutes</legend>
      <p v-if="wrong('weekdays')" role="alert" class="field-error">{{ wrong("weekdays") }}</p>
      <div class="d-flex flex-wrap gap-3">
        <div v-for="day in weekFrom(facts.country.week)" :key="day" class="weekday">
          <BFormCheckbox
            :model-value="day in minutes"
            :unchecked-value="false"
            @update:model-value="lessonOn(day, Boolean($event))"
          >
            {{ weekdayWords(day) }}
          </BFormCheckbox>
          <BFormInput
            v-if="day in minutes"
            v-model.number="minutes[day]"
            type="number"
            :min="facts.catalogue?.lengths.least"
            :max="facts.catalogue?.lengths.most"
            :aria-label="`Minutes on ${weekdayWords(day)}`"
          />
        </div>
      </div>
    </fieldset>
    <div class="d-flex flex-wrap gap-3">
      <FieldGroup id="aim" label="Goal for everyone" :wrong="wrong('aim', 'step')">
        <BFormSelect id="aim" v-model="aim">
          <optgroup label="A step">
            <option
              v-for="rung in facts.catalogue?.ladder.filter((rung) => rung.example)"
              :key="rung.id"
              :value="rung.id"
            >
              {{ rung.name }}
            </option>
          </optgroup>
          <optgroup label="The clock part of a standard">
            <option v-for="standard in standards" :key="standard" :value="standard">{{ standard }}</option>
          </optgroup>
        </BFormSelect>
      </FieldGroup>
      <FieldGroup id="aim-day" label="By" :wrong="wrong('aim_day')">
        <BFormInput id="aim-day" v-model="aimDay" type="date" required />
      </FieldGroup>
    </div>
    <fieldset>
      <legend>Days off</legend>
      <p v-if="wrong('days_off')" role="alert" class="field-error">{{ wrong("days_off") }}</p>
      <ul v-if="off.length" class="off list-unstyled d-grid gap-2 p-0">
        <li v-for="(span, at) in off" :key="at" class="d-flex flex-wrap gap-2 align-items-center">
          <BFormInput
            :model-value="span.from"
            type="date"
            :aria-label="`Days off ${at + 1}, from`"
            @update:model-value="startOff(span, String($event))"
          />
          <BFormInput v-model="span.to" type="date" :aria-label="`Days off ${at + 1}, to`" />
          <BFormInput
            v-model="span.name"
            class="name"
            :maxlength="LIMITS.DaysOffName"
            placeholder="Holidays"
            :aria-label="`Days off ${at + 1}, name`"
          />
          <BButton
            variant="link"
            size="sm"
            :aria-label="`Delete days off ${span.name || dayWords(span.from)}`"
            @click="deleteOff(span)"
          >
            Delete
          </BButton>
        </li>
      </ul>
      <div class="d-flex flex-wrap gap-3 align-items-end">
        <BButton variant="outline-primary" class="field" @click="addOff">Add days off</BButton>
        <FileField
          id="calendar"
          v-model="file"
          label="Or from the school's calendar file (.ics)"
          accept=".ics,text/calendar"
          :wrong="reading.errorMessage.value"
          @chosen="read"
        />
      </div>
      <DaysFound v-if="days.length" ref="list" :days="days" @take="take" @leave="leave" />
      <p v-if="found" role="status" class="quiet mb-0">{{ found }}</p>
      <ul v-if="unread.length" class="quiet">
        <li v-for="event in unread" :key="event.name">
          Not added: {{ event.name || "an entry without a name" }}. {{ event.why }}
        </li>
      </ul>
    </fieldset>
    <div class="d-flex flex-wrap gap-2">
      <BButton type="submit" variant="primary" :disabled="busy">
        {{ busy ? "Planning…" : "Plan the term" }}
      </BButton>
      <BButton v-if="term" variant="outline-primary" @click="$emit('close')">Cancel</BButton>
    </div>
  </BForm>
</template>

<style scoped lang="scss">
legend {
  font-size: 1rem;
}

.weekday {
  min-width: 7rem;
}

input[type="number"] {
  width: 5.5rem;
}

input[type="date"] {
  width: 10.5rem;
}

.name {
  width: 14rem;
}
</style>
