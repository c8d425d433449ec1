<script setup lang="ts">
import { computed, ref } from "vue";
import { readCheck, useFacts, useAsked } from "@/api";
import { useRouteNumber } from "@/route";
import { DialFace } from "@/dial";
import { useOwnClass } from "@/school";
import ChildSlip from "./ChildSlip.vue";
import { countedChildren } from "@/words";

/** The check on paper: a slip for each child, and the answers on a page of their own. */
const facts = useFacts();
const named = ref(true);
/** One more slip of the same check, for whoever lost theirs. */
const spare = ref(false);
const id = useRouteNumber("id");
const { data: check, trouble } = useAsked("check", () => id.value && [id.value], readCheck);
useOwnClass(() => check.value?.class_id);
const digits = computed(
  () => facts.catalogue?.tasks.find((task) => task.id === check.value?.task)?.notation === "digits",
);

function print(): void {
  window.print();
}
</script>

<template>
  <div class="page">
    <p v-if="trouble" role="alert" class="field-error">{{ trouble }}</p>
    <p v-else-if="!check" class="quiet" aria-live="polite">Drawing the slips…</p>
    <template v-else>
      <div class="page-head no-print">
        <h1>Slips</h1>
        <span class="quiet">{{ facts.titleOf(check) }} · {{ countedChildren(check.children.length) }}</span>
        <div class="actions">
          <BFormCheckbox v-model="spare" switch class="align-self-center">One to spare, alone</BFormCheckbox>
          <BFormCheckbox v-if="!spare" v-model="named" switch class="align-self-center">
            Names on the slips
          </BFormCheckbox>
          <BButton variant="primary" @click="print">
            <i class="bi bi-printer" aria-hidden="true"></i>
            Print
          </BButton>
          <BButton variant="outline-primary" :to="{ name: 'check', params: { id } }">Type answers in</BButton>
        </div>
      </div>
      <div class="paper">
        <ChildSlip
          v-for="child in spare ? [{ id: 0, name: '' }] : check.children"
          :key="child.id"
          :check="check"
          :name="named && !spare ? child.name : ''"
          :digits="digits"
        />
        <section v-if="!spare" class="answers-page" aria-label="Answers">
          <h2>Answers: {{ facts.titleOf(check) }}</h2>
          <ol>
            <li v-for="item in check.items" :key="item.id">
              <div class="clock">
                <DialFace :facts="facts.of(item.dial)" :label="`A dial at ${item.time}`" />
              </div>
              <strong>{{ item.right }}</strong>
            </li>
          </ol>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped lang="scss">
.paper {
  max-width: 190mm;
  margin: 0 auto;
}

.answers-page {
  background: var(--v-card);
  border: 1px solid var(--v-line);
  border-radius: var(--v-radius);
  padding: 6mm 8mm;
  margin-top: 2rem;

  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(40mm, 1fr));
    gap: 6mm;
    padding: 0;
    list-style: none;
  }

  li {
    text-align: center;
    break-inside: avoid;
  }
}

.clock {
  width: 32mm;
  height: 32mm;
  margin: 0 auto 2mm;
}

@media print {
  .answers-page {
    break-before: page;
    border: 0;
    margin: 0;
    padding: 0;
  }
}
</style>
