<script setup lang="ts">
import { computed, ref } from "vue";
import {
  applyRetention,
  readRetention,
  setRetention,
  useApiQuery,
  useApiMutation,
  type RetentionHow,
} from "@/api";
import { PresentPassword } from "@/ui";
import { counted, countedChildren, moment } from "@/words";

/** How long records stay after a child's last answer. Nothing goes by itself: whoever keeps the school says so. */
const { data, errorMessage } = useApiQuery(readRetention, () => []);
const { busy, wrong, elsewhere, run } = useApiMutation();
const years = computed(() => [
  { value: null as number | null, text: "no limit" },
  ...(data.value?.choices ?? []).map((choice) => ({
    value: choice as number | null,
    text: counted(choice, "year"),
  })),
]);
const how = ref<RetentionHow | null>(null);
const present = ref("");
const message = ref("");
const failed = computed(() => elsewhere("present_password"));
const many = computed(() => data.value?.due.children ?? 0);

const set = (chosen: number | null): Promise<boolean> =>
  run(async () => {
    message.value = "";
    await setRetention({ years: chosen });
  });

function open(what: RetentionHow): void {
  present.value = "";
  how.value = what;
}

async function act(): Promise<void> {
  const what = how.value;
  if (!what) return;
  const done = await run(() => applyRetention({ how: what, present_password: present.value }));
  if (!done) return;
  how.value = null;
  message.value = what === "erase" ? "Records erased. Copies are next." : "Names erased. Copies are next.";
}
</script>

<template>
  <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
  <section v-else-if="data" aria-labelledby="keeping-head">
    <h2 id="keeping-head">Keeping records</h2>
    <label for="keeping-years">Records stay after a child's last answer for</label>
    <BFormSelect
      id="keeping-years"
      :model-value="data.years"
      :options="years"
      class="w-auto"
      :disabled="busy"
      @update:model-value="set($event as number | null)"
    />
    <p v-if="failed && !how" class="field-error" role="alert">{{ failed }}</p>
    <p class="quiet mt-2">Nothing is erased until you say so.</p>
    <template v-if="many">
      <p class="mb-2">
        <strong>{{ countedChildren(many) }}</strong>
        in {{ counted(data.due.classes, "class", "classes") }} with no answer for longer
        <span v-if="data.due.last" class="quiet">(the last on {{ moment(data.due.last) }})</span>
      </p>
      <div class="d-flex flex-wrap gap-2">
        <BButton variant="outline-danger" @click="open('erase')">Erase records…</BButton>
        <BButton variant="outline-primary" @click="open('nameless')">Erase names only…</BButton>
      </div>
    </template>
    <p v-if="message" class="quiet mt-2 mb-0" role="status">{{ message }}</p>
    <BModal
      :model-value="how !== null"
      :title="
        how === 'erase'
          ? `Erase the records of ${countedChildren(many)}?`
          : `Erase the names of ${countedChildren(many)}?`
      "
      title-tag="h2"
      :ok-title="how === 'erase' ? 'Erase records' : 'Erase names'"
      :ok-variant="how === 'erase' ? 'danger' : 'primary'"
      cancel-title="Cancel"
      cancel-variant="outline-primary"
      :ok-disabled="busy || !present"
      centered
      no-animation
      no-header-close
      teleport-to="body"
      @update:model-value="how = null"
      @ok.prevent="act"
    >
      <p v-if="how === 'erase'">
        All their answers, paper and names go, here and in every copy. You can't undo this.
      </p>
      <p v-else>
        Their answers stay and count for their class, but nobody can tell whose they are. Names go in every
        copy too. You can't undo this.
      </p>
      <PresentPassword id="present-keeping" v-model="present" :wrong="wrong('present_password')" />
      <p v-if="failed" class="field-error" role="alert">{{ failed }}</p>
    </BModal>
  </section>
</template>
