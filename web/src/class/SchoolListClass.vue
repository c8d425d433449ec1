<script setup lang="ts">
import { computed } from "vue";
import type { SchoolRoster, SchoolRosterChange, SchoolRosterSent } from "@/api";
import LeftOutLines from "./LeftOutLines.vue";
import RosterChanges from "./RosterChanges.vue";
import RosterDoubts from "./RosterDoubts.vue";
import { pairs } from "./sameChildren";

/** A class of the school's list: which class here it is, whose it becomes, and who comes, moves and goes. */
type Said = NonNullable<SchoolRosterSent["classes"]>[number];
const props = defineProps<{
  listed: SchoolRoster;
  here: SchoolRosterChange["here"];
  accounts: SchoolRosterChange["accounts"];
  /** Who on the list is which child of the class, as was said. */
  same: NonNullable<Said["same"]>;
}>();
const emit = defineEmits<{ say: [more: Partial<Said>] }>();

const NEW = "A new class";
const options = computed(() => [
  { value: null as number | null, text: NEW },
  ...props.here.map((schoolClass) => ({ value: schoolClass.id as number | null, text: schoolClass.name })),
]);
const teachers = computed(() => props.accounts.map((account) => ({ value: account.id, text: account.name })));
const teacher = computed(
  () => props.accounts.find((account) => account.id === props.listed.account_id)?.name,
);
const known = computed<Record<number, number | null>>(() =>
  Object.fromEntries(props.same.map((pair) => [pair.at, pair.child_id])),
);

const settle = (found: Record<number, number | null>): void => emit("say", { same: pairs(found) });
</script>

<template>
  <section class="border rounded-10 on-card px-12 py-11" :aria-label="listed.title">
    <h2 class="fs-125 mb-1">{{ listed.title }}</h2>
    <p v-if="listed.about" class="quiet mb-2">{{ listed.about }}</p>
    <div class="d-flex flex-wrap gap-2 mb-2">
      <BFormSelect
        :model-value="listed.class_id"
        :options="options"
        size="sm"
        class="w-auto"
        :aria-label="`Which class is ${listed.title}?`"
        @update:model-value="emit('say', { class_id: $event as number | null, same: [] })"
      />
      <BFormSelect
        v-if="listed.class_id === null"
        :model-value="listed.account_id"
        :options="teachers"
        size="sm"
        class="w-auto"
        :aria-label="`Who teaches ${listed.title}?`"
        @update:model-value="emit('say', { account_id: $event as number })"
      />
      <span v-else-if="teacher" class="quiet align-self-center">{{ teacher }}</span>
    </div>
    <div
      v-if="listed.doubts.length"
      class="doubts overflow-auto mb-2"
      tabindex="0"
      role="region"
      aria-label="Is it the same child?"
    >
      <RosterDoubts :model-value="known" :doubts="listed.doubts" @update:model-value="settle" />
    </div>
    <RosterChanges :change="listed" :moved="listed.moved" />
    <LeftOutLines v-if="listed.left_out.length" :lines="listed.left_out" class="mb-2" />
    <BButton variant="link" size="sm" class="p-0" @click="emit('say', { left_out: true })">
      Leave this class out
    </BButton>
  </section>
</template>

<style scoped>
.doubts {
  max-height: 18rem;
}
</style>
