<script setup lang="ts">
import { computed, ref } from "vue";
import type { Check } from "@/api";
import { placeOf, type TypedAnswers } from "./useTypedAnswers";

/** Slips come in the order of the pile: whose comes next is typed, and how far the pile is stands beside it. */
const props = defineProps<{ check: Check; answers: TypedAnswers; later: ReadonlySet<number> }>();
const emit = defineEmits<{ jump: [child: number] }>();

const typed = ref("");
const none = ref(false);
const field = ref<{ focus: () => void; element: HTMLInputElement | null }>();

/** How many of a child's clocks have an answer, and how many there are. */
const far = computed(() =>
  props.check.children.map((child) => {
    const items = props.check.items.filter((item) => item.child_id === null || item.child_id === child.id);
    const given = items.filter((item) => props.answers.textAt(placeOf(child.id, item.id)).trim() !== "");
    return { ...child, given: given.length, of: items.length };
  }),
);
const done = computed(() => far.value.filter((child) => child.given === child.of));
const begun = computed(() => far.value.filter((child) => child.given > 0 && child.given < child.of));
/** Who came later than this check has no slip in the pile. */
const missing = computed(() => far.value.filter((child) => child.given === 0 && !props.later.has(child.id)));

const plain = (text: string): string =>
  text.normalize("NFKD").replace(/\p{M}/gu, "").trim().toLocaleLowerCase();
/** Those whose names begin as typed; with nothing typed the next one whose answers are missing. */
const found = computed(() => {
  const start = plain(typed.value);
  if (!start) return [...begun.value, ...missing.value].slice(0, 1);
  const exact = far.value.filter((child) => plain(child.name) === start);
  return exact.length ? exact : far.value.filter((child) => plain(child.name).startsWith(start));
});

function go(): void {
  none.value = found.value.length !== 1;
  if (!found.value[0] || none.value) return;
  emit("jump", found.value[0].id);
  typed.value = "";
}

defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <form class="pile d-flex flex-wrap align-items-center row-gap-03 column-gap-07 mb-08" @submit.prevent="go">
    <label for="whose">Whose slip?</label>
    <BFormInput
      id="whose"
      ref="field"
      v-model="typed"
      list="names"
      autocomplete="off"
      enterkeyhint="go"
      :state="none ? false : null"
      aria-describedby="how-far"
      @input="none = false"
    />
    <datalist id="names">
      <option v-for="child in check.children" :key="child.id" :value="child.name" />
    </datalist>
    <kbd class="key" aria-hidden="true">@</kbd>
    <span class="fs-95 tone-quiet">
      <kbd class="key">=</kbd>
      rest right
      <kbd class="key">#</kbd>
      rest blank
      <kbd class="key">_</kbd>
      away
    </span>
    <p v-if="none" class="field-error m-0" role="alert">
      {{ found.length ? `${found.length} names start like this. Type more.` : "No child has that name." }}
    </p>
    <p id="how-far" class="how-far m-0 fs-95 tone-quiet">
      <strong class="tone-ink">{{ done.length }} of {{ far.length }} done.</strong>
      <template v-if="begun.length">
        Started:
        {{ begun.map((child) => `${child.name} (${child.given} of ${child.of})`).join(", ") }}.
      </template>
      <template v-if="missing.length && missing.length < far.length">
        Missing: {{ missing.map((child) => child.name).join(", ") }}.
      </template>
    </p>
  </form>
</template>

<style scoped>
.pile .form-control {
  width: 12rem;
}

.how-far {
  flex: 1 1 18rem;
}

.field-error {
  flex-basis: 100%;
}
</style>
