<script setup lang="ts">
import { computed, ref, shallowRef } from "vue";
import { adjustChild, readAdjustments, useApiQuery, useApiMutation, useFacts, type Adjustments } from "@/api";

/** What is set for one child at devices and on paper. It is kept at once, and no other child sees it. */
const props = defineProps<{ classId: number; child: { id: number; name: string } }>();

const facts = useFacts();
const { data, errorMessage, reload } = useApiQuery(readAdjustments, () => [props.classId], {
  select: (found) => found.children,
});
const { errorMessage: refused, run } = useApiMutation();
const NONE: Adjustments = {
  voice: false,
  larger: false,
  fewer: false,
  help: false,
  unhurried: false,
  buttons: false,
  left_handed: false,
  calm: false,
  notation: "both",
  home: null,
};
const found = computed(() => data.value?.find((one) => one.child_id === props.child.id));
/** What was chosen and is not saved yet. */
const chosen = shallowRef<Adjustments | null>(null);
const set = computed(() => chosen.value ?? found.value?.set ?? NONE);
const now = computed(() => {
  const home = languages.value.find((language) => language.value && language.value === set.value.home);
  const names = [...(found.value?.names ?? []), ...(home ? [`${home.text} at home`] : [])];
  return names.length ? `${names.join(", ")}.` : "None.";
});
const open = ref(false);
const kinds = computed(() => facts.catalogue?.adjustments.kinds ?? []);
const notations = computed(() =>
  (facts.catalogue?.adjustments.notations ?? []).map((notation) => ({
    value: notation.id,
    text: notation.name,
  })),
);

const languages = computed(() => [
  { value: "", text: "English" },
  ...(facts.catalogue?.adjustments.languages ?? []).map((language) => ({
    value: language.id,
    text: language.name,
  })),
]);

/** What is chosen stands at once, and is saved one after the other: nobody has to wait between two presses. */
let saving = false;
async function keep(change: Partial<Adjustments>): Promise<void> {
  chosen.value = { ...set.value, ...change };
  if (saving) return;
  saving = true;
  await run(async () => {
    for (let sent: Adjustments | null = null; chosen.value && sent !== chosen.value;) {
      sent = chosen.value;
      await adjustChild(props.classId, props.child.id, sent);
    }
    await reload();
  });
  saving = false;
  chosen.value = null;
}
</script>

<template>
  <BCard v-if="data">
    <h2 class="eyebrow">Adjustments</h2>
    <p class="mb-2">{{ now }}</p>
    <p v-if="refused" role="alert" class="field-error">{{ refused }}</p>
    <BButton
      v-if="!open"
      variant="outline-primary"
      size="sm"
      :aria-label="`Change adjustments for ${child.name}`"
      @click="open = true"
    >
      Change
    </BButton>
    <div v-else class="d-grid gap-2">
      <p class="quiet fs-95 m-0">For {{ child.name }} alone. Other children don't see them.</p>
      <BFormCheckbox
        v-for="kind in kinds"
        :key="kind.id"
        switch
        :model-value="Boolean(set[kind.id as keyof Adjustments])"
        :unchecked-value="false"
        :aria-describedby="`about-${kind.id}`"
        @update:model-value="keep({ [kind.id]: Boolean($event) })"
      >
        {{ kind.name }}
        <span :id="`about-${kind.id}`" class="quiet fs-90 d-block lh-120">{{ kind.about }}</span>
      </BFormCheckbox>
      <label class="mt-1">
        On devices, ask for
        <BFormSelect
          :model-value="set.notation"
          :options="notations"
          size="sm"
          @change="keep({ notation: ($event.target as HTMLSelectElement).value as Adjustments['notation'] })"
        />
      </label>
      <label class="mt-1">
        Spoken at home
        <BFormSelect
          :model-value="set.home ?? ''"
          :options="languages"
          size="sm"
          aria-describedby="about-home"
          @change="keep({ home: ($event.target as HTMLSelectElement).value || null })"
        />
      </label>
      <p id="about-home" class="quiet fs-90 m-0 lh-120">
        The note to take home and the page for parents have this language too. The words are from memory: ask
        a speaker to check them first. Where it says half of the next hour, "half past eight" for 7:30 is no
        mistake.
      </p>
    </div>
  </BCard>
  <p v-else-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
</template>
