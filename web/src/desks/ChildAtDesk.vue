<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Answer, type Desk, type LiveChild } from "@/api";
import { DialFace } from "@/dial";
import { VerdictMark, VERDICTS } from "@/shared";
import { placeInWords, STUCK, whyAsked } from "./wording";

/** A child in one line: where they are now, and their last answers as shapes. It opens to the answers themselves. */
const props = defineProps<{ child: LiveChild; desk: Desk; hidden: boolean; open: boolean }>();
defineEmits<{ toggle: []; away: [] }>();
const facts = useFacts();

const presence = computed(() => {
  if (!props.child.joined) return "not here yet";
  return props.child.here || !props.desk.open ? "" : "away";
});
const where = computed(() => {
  const { asked, place } = props.child;
  if (place) return placeInWords(place, facts);
  if (presence.value) return presence.value;
  if (asked) return asked.second ? `${asked.time}, again` : asked.time;
  return props.child.round ? `done: ${props.child.done}` : "";
});
/** What a teacher should know beside the answers. */
const notes = computed(() => {
  const { wrong_tries: tries, lost } = props.child;
  return [
    ...(tries ? [`wrong pictures: ${tries}`] : []),
    ...(lost ? [lost === 1 ? "1 answer could not be saved" : `${lost} answers could not be saved`] : []),
  ];
});
const verdict = (answer: string): Answer["verdict"] => answer as Answer["verdict"];
const answerWords = (answer: LiveChild["answers"][number]): string => {
  const names = answer.misreadings.map((id) => facts.misreading(id).name).join(" or ");
  const second = answer.second ? `; second try ${VERDICTS[verdict(answer.second)].word}` : "";
  return `${VERDICTS[verdict(answer.verdict)].word}${names ? `: ${names}` : ""}${second}`;
};
</script>

<template>
  <li class="child rounded-07 on-card min-w-0" :class="{ stuck: child.stuck, gone: presence }">
    <BButton
      variant="bare"
      class="d-grid align-items-center gap-07 w-100 min-h-finger px-07 py-02 text-start"
      :aria-expanded="open"
      @click="$emit('toggle')"
    >
      <span
        class="name overflow-hidden text-nowrap text-ellipsis"
        :class="{ 'fw-bold': !presence }"
        :title="hidden ? undefined : child.name"
      >
        {{ hidden ? "" : child.name }}
        <span v-if="hidden" class="visually-hidden">Name hidden</span>
        <span
          v-if="notes.length"
          class="note d-block fw-normal overflow-hidden fs-85 tone-misread text-ellipsis"
        >
          {{ notes.join(", ") }}
        </span>
      </span>
      <!-- From the right: where there is no room for all, the oldest are out of sight. -->
      <span class="marks d-flex flex-row-reverse flex-wrap overflow-hidden gap-1 fs-85">
        <VerdictMark
          v-for="answer in [...child.answers].reverse()"
          :key="answer.item_id"
          :verdict="verdict(answer.verdict)"
        />
      </span>
      <span class="where text-nowrap text-end fs-95" :class="{ quiet: presence }">
        {{ where }}
        <span v-if="child.stuck" class="visually-hidden">, {{ STUCK[child.stuck] }}</span>
      </span>
      <span v-if="child.asked && !presence" class="now">
        <DialFace :facts="facts.of(child.asked.time)" detail="small" />
      </span>
      <span v-else class="now"></span>
    </BButton>
    <div v-if="open" class="detail px-09 pt-02 pb-07">
      <p v-if="child.asked" class="quiet">
        Now: {{ child.asked.time }}, {{ whyAsked(child.asked, facts) }}
        <template v-if="child.step">· {{ facts.rung(child.step).name }}</template>
      </p>
      <p v-if="notes.length" class="quiet">
        <template v-if="child.wrong_tries">
          Wrong pictures chosen {{ child.wrong_tries }} {{ child.wrong_tries === 1 ? "time" : "times" }}.
          After five, this child can't try again on that device for a while.
          <RouterLink :to="{ name: 'keys', query: { child: child.child_id } }">
            Show or change pictures
          </RouterLink>
          lets them try again now.
        </template>
        <template v-if="child.lost">
          Answers saved on a device that could not be added: {{ child.lost }}.
        </template>
      </p>
      <p v-if="child.joined && desk.open" class="quiet">
        <BButton variant="outline-primary" size="sm" @click="$emit('away')">Sign out</BButton>
        <span class="after ms-2 fs-90">They can join again with their pictures.</span>
      </p>
      <p v-if="!child.joined && desk.open" class="quiet">
        Not signed in yet.
        <RouterLink :to="{ name: 'keys', query: { child: child.child_id } }">Show pictures</RouterLink>
      </p>
      <p v-else-if="!child.answers.length" class="quiet">No answers yet.</p>
      <ul v-else class="d-grid gap-03 m-0 p-0 list-none fs-95">
        <li
          v-for="answer in [...child.answers].reverse()"
          :key="answer.item_id"
          class="d-grid align-items-center gap-2"
        >
          <span class="dial"><DialFace :facts="facts.of(answer.time)" detail="small" /></span>
          <span>{{ answer.time }}</span>
          <span v-if="answer.hands" class="dial set">
            <DialFace :facts="answer.hands" detail="small" label="as set" />
          </span>
          <span v-else class="said text-anywhere">{{ answer.read_as || answer.answer }}</span>
          <VerdictMark :verdict="verdict(answer.verdict)" quiet />
          <span class="quiet">{{ answerWords(answer) }}</span>
        </li>
      </ul>
    </div>
  </li>
</template>

<style scoped lang="scss">
.child {
  border: 1px solid var(--v-line);
  border-left-width: 6px;

  &.stuck {
    border-left-color: var(--v-slip);
    background: var(--v-slip-tint);
  }

  &.gone {
    background: none;
  }
}

.child > button {
  grid-template-columns: minmax(5rem, 1fr) auto minmax(4rem, auto) 1.9rem;
}

.marks {
  height: 1.3rem;
}

@media (max-width: 24rem) {
  .child > button {
    grid-template-columns: minmax(4rem, 1fr) minmax(2rem, auto) minmax(3rem, auto) 1.9rem;
    gap: 0.4rem;
  }

  .where {
    white-space: normal;
  }
}

.now {
  width: 1.9rem;
}

.detail {
  p {
    margin: 0 0 0.4rem;
  }

  li {
    grid-template-columns: 1.6rem 3rem minmax(0, 1fr) auto minmax(0, 1.4fr);
  }
}

.dial.set {
  width: 2.4rem;
}
</style>
