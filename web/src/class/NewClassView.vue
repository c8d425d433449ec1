<script setup lang="ts">
import { useSessionStorage } from "@vueuse/core";
import { computed, ref } from "vue";
import { useRouter } from "vue-router";
import { countedChildren } from "@/words";
import { Refused } from "@/api";
import { useClasses } from "./classes";

/** Makes a class from a list of first names. */
const router = useRouter();
const classes = useClasses();
/** Kept in this tab until the class is made: a register is long to type. */
const form = useSessionStorage("vantick.draft.class", { name: "", school: "", names: "" });
const refused = ref<Refused | null>(null);
const busy = ref(false);
const children = computed(() =>
  form.value.names
    .split("\n")
    .map((name) => name.replace(/^\s*\d+\s*[.):]\s*/, "").trim())
    .filter((name) => name !== ""),
);

function wrong(field: string): string | undefined {
  return refused.value?.field === field ? refused.value.message : undefined;
}

async function make(): Promise<void> {
  busy.value = true;
  refused.value = null;
  try {
    await classes.make({
      name: form.value.name.trim(),
      school: form.value.school.trim(),
      children: children.value,
    });
    form.value = { name: "", school: "", names: "" };
    await router.push({ name: "new-check" });
  } catch (error) {
    refused.value = error instanceof Refused ? error : new Refused(null, String(error), 500);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <form class="page narrow" novalidate @submit.prevent="make">
    <h1>New class</h1>
    <p class="quiet">
      First names or aliases only. Your school's own rules on children's data come first: ask before you use
      real names.
    </p>
    <div class="field">
      <label for="name">What you call the class</label>
      <BFormInput
        id="name"
        v-model="form.name"
        maxlength="60"
        :state="wrong('name') ? false : null"
        aria-describedby="name-wrong"
      />
      <p v-if="wrong('name')" id="name-wrong" class="field-error" role="alert">{{ wrong("name") }}</p>
    </div>
    <div class="field">
      <label for="school">School (may stay empty)</label>
      <BFormInput id="school" v-model="form.school" maxlength="80" />
    </div>
    <div class="field">
      <label for="names">Children, one on each line</label>
      <BFormTextarea
        id="names"
        v-model="form.names"
        rows="10"
        :state="wrong('children') ? false : null"
        aria-describedby="names-wrong"
      />
      <p class="quiet mt-1 mb-0">{{ countedChildren(children.length) }}</p>
      <p v-if="wrong('children')" id="names-wrong" class="field-error" role="alert">
        {{ wrong("children") }}
      </p>
    </div>
    <p v-if="refused && !['name', 'children'].includes(refused.field ?? '')" class="field-error" role="alert">
      {{ refused.message }}
    </p>
    <BButton type="submit" variant="primary" :disabled="busy">Make the class</BButton>
  </form>
</template>

<style scoped>
.narrow {
  max-width: 40rem;
}

.field {
  margin: 1.25rem 0;
}

label {
  margin-bottom: 0.35rem;
}
</style>
