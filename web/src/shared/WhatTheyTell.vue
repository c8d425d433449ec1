<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Choice } from "@/api";

/** What the answers to these clocks can show, and what they cannot. */
const props = defineProps<{ choice: Choice; full?: boolean }>();

const facts = useFacts();
const chances = computed(() =>
  Object.entries(props.choice.chances).map(([id, count]) => ({ id, count, name: facts.misreading(id).name })),
);
const untold = computed(() => chances.value.filter((chance) => chance.count === 0));
/** "These clocks show every common mistake but one." */
const summary = computed(() => {
  const who = props.choice.times.length === 1 ? "This clock shows" : "These clocks show";
  if (!untold.value.length) return `${who} every common mistake of this step.`;
  const most = untold.value.length * 2 < chances.value.length;
  if (!most)
    return `${who} ${chances.value.length - untold.value.length} of ${chances.value.length} common mistakes.`;
  return `${who} every common mistake but ${untold.value.length === 1 ? "one" : untold.value.length}.`;
});
const clocks = computed(() => props.choice.times.length);
</script>

<template>
  <BCard>
    <p class="eyebrow">What {{ clocks === 1 ? "this clock" : `these ${clocks} clocks` }} can show</p>
    <p :class="{ 'mb-0': !full }">
      <strong>{{ summary }}</strong>
      {{ " " }}
      <template v-if="untold.length">
        Not shown: {{ untold.map((misreading) => misreading.name).join("; ") }}.
      </template>
    </p>
    <BTableSimple v-if="full">
      <BThead>
        <BTr>
          <BTh scope="col">Mistake</BTh>
          <BTh scope="col">Clocks that would show it</BTh>
        </BTr>
      </BThead>
      <BTbody>
        <BTr v-for="chance in chances" :key="chance.id" :class="{ none: chance.count === 0 }">
          <BTh scope="row">{{ chance.name }}</BTh>
          <BTd>
            <span class="pips d-inline-flex gap-1 me-2" aria-hidden="true">
              <i v-for="at in clocks" :key="at" :class="{ on: at <= chance.count }"></i>
            </span>
            {{ chance.count }}
          </BTd>
        </BTr>
      </BTbody>
    </BTableSimple>
  </BCard>
</template>

<style scoped lang="scss">
table {
  width: 100%;
}

th {
  font-weight: 400;
  padding: 0.2rem 0.75rem 0.2rem 0;
}

thead th {
  color: var(--v-quiet);
  font-size: 0.9rem;
}

td {
  white-space: nowrap;
}

.pips {
  i {
    width: 0.6rem;
    height: 0.6rem;
    border-radius: 50%;
    border: 1.5px solid var(--v-hour);

    &.on {
      background: var(--v-hour);
    }
  }
}

.none {
  color: var(--v-quiet);
}
</style>
