<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Choice } from "@/api";

/** What the answers to these clocks can tell, and what they cannot. */
const props = defineProps<{ choice: Choice; full?: boolean }>();

const facts = useFacts();
const chances = computed(() =>
  Object.entries(props.choice.chances).map(([id, count]) => ({ id, count, name: facts.misreading(id).name })),
);
const untold = computed(() => chances.value.filter((one) => one.count === 0));
const clocks = computed(() => props.choice.times.length);
</script>

<template>
  <BCard>
    <p class="eyebrow">What {{ clocks === 1 ? "this clock" : `these ${clocks} clocks` }} can tell</p>
    <p :class="{ 'mb-0': !full }">
      <strong>{{ choice.pairs_told_apart }} of {{ choice.pairs_possible }}</strong>
      pairs of readings apart.
      <template v-if="untold.length">
        Not yet: {{ untold.map((one) => one.name).join("; ") }}. A few more clocks would tell.
      </template>
      <template v-else>Every misreading of this step would show.</template>
    </p>
    <BTableSimple v-if="full">
      <BThead>
        <BTr>
          <BTh scope="col">Misreading</BTh>
          <BTh scope="col">Chances to show</BTh>
        </BTr>
      </BThead>
      <BTbody>
        <BTr v-for="one in chances" :key="one.id" :class="{ none: one.count === 0 }">
          <BTh scope="row">{{ one.name }}</BTh>
          <BTd>
            <span class="pips d-inline-flex gap-1 me-2" aria-hidden="true">
              <i v-for="at in clocks" :key="at" :class="{ on: at <= one.count }"></i>
            </span>
            {{ one.count }}
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
