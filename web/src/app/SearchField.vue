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

function says(match: Found): string {
  if (match.kind === "child") return match.name ?? "";
  const step = match.step ?? "";
  if (match.kind === "lesson") return `Lesson: ${facts.rung(step).name}, ${dayWords(match.at ?? "")}`;
  const code = match.code ? `, code ${match.code}` : "";
  return `Check: ${facts.titleOf({ step, task: match.task ?? "" })}, ${moment(match.at ?? "")}${code}`;
}

const to = (match: Found): RouteLocationRaw => ({
  ...(match.kind === "child"
    ? { name: "child", params: { child: match.id } }
    : { name: match.kind, params: { id: match.id } }),
  query: { class: String(match.class_id) },
});

async function go(match: Found | undefined): Promise<void> {
  if (!match) return;
  await router.push(to(match));
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
      <li v-for="match in found" :key="`${match.kind} ${match.id}`">
        <RouterLink :to="to(match)" class="d-flex justify-content-between gap-3" @click="close">
          {{ says(match) }}
          <span class="quiet text-nowrap">{{ match.class_name }}</span>
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
