<script setup lang="ts">
import { computed, ref } from "vue";
import { LIMITS, changePassword, makeTeacher, readSchool, useApiQuery, useApiMutation } from "@/api";
import { FieldGroup } from "@/ui";
import KeepingRecords from "./KeepingRecords.vue";
import SafeCopies from "./SafeCopies.vue";
import SchoolAccounts from "./SchoolAccounts.vue";
import SchoolJournal from "./SchoolJournal.vue";
import { useSession } from "./session";

/** A teacher's own account: the password, signing out everywhere, and an account for a colleague. */
const session = useSession();
const { data: school } = useApiQuery(readSchool, () => []);
const now = ref("");
const next = ref("");
const colleague = ref({ name: "", password: "" });
const done = ref("");
const own = useApiMutation();
const other = useApiMutation();
const elsewhere = computed(
  () => own.elsewhere("password", "new_password") || other.elsewhere("name", "password"),
);
const busy = computed(() => own.busy.value || other.busy.value);

async function change(): Promise<void> {
  done.value = "";
  const changed = await own.run(() => changePassword({ password: now.value, new_password: next.value }));
  if (!changed) return;
  now.value = next.value = "";
  done.value = "Password changed. You are signed out everywhere else.";
}

async function changed(words: string): Promise<void> {
  done.value = words;
}

async function add(): Promise<void> {
  const name = colleague.value.name.trim();
  done.value = "";
  const added = await other.run(() => makeTeacher({ name, password: colleague.value.password }));
  if (!added) return;
  colleague.value = { name: "", password: "" };
  done.value = `${name} can sign in now and has their own classes.`;
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ session.name }}'s account</h1>
      <p class="quiet" role="status">{{ done }}</p>
    </div>
    <div class="columns d-grid">
      <details>
        <summary><h2 class="d-inline">Change password</h2></summary>
        <form class="mt-3" novalidate @submit.prevent="change">
          <FieldGroup id="now" v-slot="{ state }" label="Current password" :wrong="own.wrong('password')">
            <BFormInput
              id="now"
              v-model="now"
              :state="state"
              type="password"
              autocomplete="current-password"
            />
          </FieldGroup>
          <FieldGroup id="next" v-slot="{ state }" label="New password" :wrong="own.wrong('new_password')">
            <BFormInput id="next" v-model="next" :state="state" type="password" autocomplete="new-password" />
          </FieldGroup>
          <BButton type="submit" variant="primary" :disabled="busy || !now || !next">Change password</BButton>
        </form>
      </details>
      <section>
        <h2 class="mb-06">Sign out</h2>
        <p>You are signed out after four hours without use.</p>
        <div class="d-flex flex-wrap gap-2">
          <BButton variant="outline-primary" @click="session.leave(false)">Sign out here</BButton>
          <BButton variant="outline-primary" @click="session.leave(true)">Sign out everywhere</BButton>
        </div>
        <h2 class="mb-06">What is stored, and where</h2>
        <p>
          First names or aliases, what you asked and what the children answered. It is all in one file on this
          computer. No birth dates, no photos, nothing about health. Your school's own data-protection rules
          come first.
        </p>
      </section>
      <details>
        <summary><h2 class="d-inline">Add a colleague</h2></summary>
        <form class="mt-3" novalidate @submit.prevent="add">
          <p>They have their own classes. Neither of you sees the other's unless you share it.</p>
          <FieldGroup id="colleague" v-slot="{ state }" label="Name" :wrong="other.wrong('name')">
            <BFormInput
              id="colleague"
              v-model="colleague.name"
              :state="state"
              autocomplete="off"
              :maxlength="LIMITS.TeacherName"
            />
          </FieldGroup>
          <FieldGroup
            id="colleague-password"
            v-slot="{ state }"
            label="First password"
            :wrong="other.wrong('password')"
          >
            <BFormInput
              id="colleague-password"
              v-model="colleague.password"
              :state="state"
              type="password"
              autocomplete="new-password"
            />
          </FieldGroup>
          <BButton
            type="submit"
            variant="primary"
            :disabled="busy || !colleague.name.trim() || !colleague.password"
          >
            Add colleague
          </BButton>
        </form>
      </details>
      <SchoolAccounts
        v-if="school?.keeper"
        :accounts="school.accounts"
        :own="session.name"
        @changed="changed"
      />
      <SafeCopies v-if="school?.keeper" :school="school" />
      <KeepingRecords v-if="school?.keeper" />
      <SchoolJournal v-if="school?.keeper" :lines="school.journal" />
    </div>
    <p v-if="elsewhere" class="field-error" role="alert">{{ elsewhere }}</p>
  </div>
</template>

<style scoped>
.columns {
  grid-template-columns: repeat(auto-fit, minmax(18rem, 1fr));
  gap: 2rem 3.5rem;
}

section h2:nth-of-type(2) {
  margin-top: 2rem;
}

label {
  display: block;
  margin-top: 0.6rem;
  font-weight: 700;
}

.btn {
  margin-top: 0.6rem;
}
</style>
