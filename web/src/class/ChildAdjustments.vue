<script setup lang="ts">
import { computed, ref } from "vue";
import { useFacts, type Adjustments } from "@/api";
import { useAdjustments } from "./useAdjustments";

/** What is set for one child at devices and on paper. It is kept at once, and no other child sees it. */
const props = defineProps<{ classId: number; child: { id: number; name: string } }>();

const facts = useFacts();
const { known, set, names, errorMessage, refused, keep } = useAdjustments(
  () => props.classId,
  () => props.child.id,
);
const now = computed(() => {
  const home = languages.value.find((language) => language.value && language.value === set.value.home);
  const all = [...names.value, ...(home ? [`${home.text} at home`] : [])];
  return all.length ? `${all.join(", ")}.` : "None.";
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
</script>

<template>
  <BCard v-if="known">
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
