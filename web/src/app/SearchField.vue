<script setup lang="ts">
import { refDebounced } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import { useRouter, type RouteLocationRaw } from "vue-router";
import { LIMITS, search, together, useApiQuery, useFacts, type Found } from "@/api";
import { dayWords, moment } from "@/words";

/** One field for children, checks, sheets and lessons; Enter goes to the first of what is found. */
const open = defineModel<boolean>({ required: true });
const router = useRouter();
const facts = useFacts();
const text = ref("");
const settled = refDebounced(text, 200);
const asked = computed(() => text.value.trim());
const { data, errorMessage } = useApiQuery(
  together("search", async (text: string) => ({ text, found: (await search({ text })).found })),
  () => settled.value.trim() && [settled.value.trim()],
  { meanwhile: true },
);
const found = computed(() => (asked.value ? (data.value?.found ?? []) : []));
/** Whether what is listed was found for what stands in the field now. */
const fresh = computed(() => data.value?.text === asked.value);
/** Enter that came before the answer to what stands in the field. */
const entered = ref(false);

function says(one: Found): string {
  if (one.kind === "child") return one.name ?? "";
  const step = one.step ?? "";
  if (one.kind === "lesson") return `Lesson: ${facts.rung(step).name}, ${dayWords(one.at ?? "")}`;
  const code = one.code ? `, code ${one.code}` : "";
  return `Check: ${facts.titleOf({ step, task: one.task ?? "" })}, ${moment(one.at ?? "")}${code}`;
}

const to = (one: Found): RouteLocationRaw => ({
  ...(one.kind === "child"
    ? { name: "child", params: { child: one.id } }
    : { name: one.kind, params: { id: one.id } }),
  query: { class: String(one.class_id) },
});

async function go(one: Found | undefined): Promise<void> {
  if (!one) return;
  await router.push(to(one));
  close();
}

async function enter(): Promise<void> {
  entered.value = !fresh.value && asked.value !== "";
  if (fresh.value) await go(found.value[0]);
}
watch(text, () => (entered.value = false));
watch(fresh, () => entered.value && enter());

function close(): void {
  open.value = false;
  text.value = "";
}
</script>

<template>
  <BModal
    v-model="open"
    title="Search"
    title-class="visually-hidden"
    aria-label="Search"
    no-footer
    no-header
    no-animation
    teleport-to="body"
    focus="search-text"
    @hidden="close"
  >
    <form @submit.prevent="enter">
      <BFormInput
        id="search-text"
        v-model="text"
        type="search"
        aria-label="Search"
        placeholder="A child, a step, a code, a month…"
        autocomplete="off"
        :maxlength="LIMITS.SearchText"
      />
    </form>
    <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    <ul v-if="found.length" class="list-unstyled mt-3 mb-0" :class="{ fresh }" aria-label="Found">
      <li v-for="one in found" :key="`${one.kind} ${one.id}`">
        <RouterLink :to="to(one)" class="d-flex justify-content-between gap-3" @click="close">
          {{ says(one) }}
          <span class="quiet text-nowrap">{{ one.class_name }}</span>
        </RouterLink>
      </li>
    </ul>
    <p v-else-if="asked && fresh" class="quiet mt-3 mb-0" role="status">
      Nothing found. Try a first name, a step, a code or a month.
    </p>
  </BModal>
</template>

<style scoped>
a {
  padding: 0.5rem 0.25rem;
  text-decoration: none;
  border-radius: 0.4rem;
}

a:hover,
.fresh li:first-child a {
  background: var(--v-shade);
}
</style>
