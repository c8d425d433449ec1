<script setup lang="ts">
import { computed, ref } from "vue";
import { nameScanPage, readPageAgain, useApiMutation, type ScanRead } from "@/api";
import { useClasses } from "@/school";

/** A page that a person has to look at: with its picture, and whose it is, where that can be said. */
const props = defineProps<{ page: ScanRead["others"][number] }>();
const emit = defineEmits<{ named: [] }>();

const classes = useClasses();
const { busy, errorMessage, run } = useApiMutation();
const childId = ref(props.page.child_id ?? 0);
/** Only where it is known which sheet it is, and where its marks are. */
const nameable = computed(
  () =>
    props.page.check_id &&
    props.page.corners &&
    (["unnamed", "twice"].includes(props.page.state) || props.page.child_id),
);
const does = computed(
  () => ({ twice: "Use this one", refused: "Take it" })[props.page.state as string] ?? "Read page",
);
/** Reading it again gave the same. */
const same = ref(false);
const children = computed(() => [
  { value: 0, text: "Choose a child" },
  ...(classes.current?.children ?? []).map((child) => ({ value: child.id, text: child.name })),
]);

const name = (): Promise<boolean> =>
  run(async () => {
    const { id, check_id, page } = props.page;
    if (!check_id) return;
    await nameScanPage(id, { check_id, child_id: childId.value, page: page ?? 1 });
    emit("named");
  });

const again = (): Promise<boolean> =>
  run(async () => {
    const found = await readPageAgain(props.page.id, {});
    same.value = found.others.some(
      (other) => other.number === props.page.number && other.words === props.page.words,
    );
    if (!same.value) emit("named");
  });
</script>

<template>
  <li class="d-flex gap-3 align-items-start">
    <a :href="`/api/scan-pages/${page.id}/picture`" target="_blank" rel="noopener">
      <img
        class="border on-card"
        :src="`/api/scan-pages/${page.id}/picture`"
        :alt="`Page ${page.number}`"
        loading="lazy"
      />
    </a>
    <div>
      <p class="mb-2">
        Page {{ page.number }}:
        {{ page.words }}
      </p>
      <form v-if="nameable || page.state === 'refused'" class="d-flex flex-wrap gap-2" @submit.prevent="name">
        <BFormSelect
          v-if="page.state === 'unnamed'"
          v-model="childId"
          size="sm"
          :options="children"
          :aria-label="`Whose is page ${page.number}?`"
        />
        <BButton
          v-if="nameable"
          type="submit"
          size="sm"
          variant="outline-primary"
          :disabled="busy || !childId"
        >
          {{ does }}
        </BButton>
        <BButton
          v-if="page.state === 'refused'"
          size="sm"
          variant="outline-primary"
          :disabled="busy"
          @click="again"
        >
          Read again
        </BButton>
      </form>
      <p v-if="same" class="quiet mb-0" role="status">It reads the same as before.</p>
      <p v-if="errorMessage" class="field-error mb-0" role="alert">{{ errorMessage }}</p>
    </div>
  </li>
</template>

<style scoped>
img {
  width: 7rem;
}
</style>
