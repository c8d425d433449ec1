<script setup lang="ts">
import { ref } from "vue";
import { changePassword, makeTeacher, Refused, wordsOf } from "@/api";
import { useSession } from "./session";

/** A teacher's own account: the password, signing out everywhere, and an account for a colleague. */
const session = useSession();
const now = ref("");
const next = ref("");
const colleague = ref({ name: "", password: "" });
const refused = ref<{ form: string; field: string | null; message: string } | null>(null);
const done = ref("");
const busy = ref(false);

const wrong = (form: string, field: string): string =>
  refused.value?.form === form && refused.value.field === field ? refused.value.message : "";

async function attempt(form: string, what: () => Promise<unknown>, said: string): Promise<void> {
  busy.value = true;
  refused.value = null;
  done.value = "";
  try {
    await what();
    done.value = said;
  } catch (error) {
    const field = error instanceof Refused ? error.field : null;
    refused.value = { form, field, message: wordsOf(error) };
  } finally {
    busy.value = false;
  }
}

const change = (): Promise<void> =>
  attempt(
    "password",
    async () => {
      await changePassword(now.value, next.value);
      now.value = next.value = "";
    },
    "The password is changed; you are signed out everywhere else.",
  );

const add = (): Promise<void> => {
  const name = colleague.value.name.trim();
  return attempt(
    "colleague",
    async () => {
      await makeTeacher({ name, password: colleague.value.password });
      colleague.value = { name: "", password: "" };
    },
    `${name} can sign in now, and sees classes of their own.`,
  );
};
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Account of {{ session.name }}</h1>
      <p class="quiet" role="status">{{ done }}</p>
    </div>
    <div class="columns">
      <form novalidate @submit.prevent="change">
        <h2>Change the password</h2>
        <label for="now">Present password</label>
        <BFormInput
          id="now"
          v-model="now"
          type="password"
          autocomplete="current-password"
          :state="wrong('password', 'password') ? false : null"
        />
        <p class="field-error" role="alert">{{ wrong("password", "password") }}</p>
        <label for="next">New password</label>
        <BFormInput
          id="next"
          v-model="next"
          type="password"
          autocomplete="new-password"
          :state="wrong('password', 'new_password') ? false : null"
        />
        <p class="field-error" role="alert">{{ wrong("password", "new_password") }}</p>
        <BButton type="submit" variant="primary" :disabled="busy || !now || !next">Change it</BButton>
      </form>
      <section>
        <h2>Signing out</h2>
        <p>After four hours without use you are signed out.</p>
        <div class="ways">
          <BButton variant="outline-primary" @click="session.leave(false)">Sign out here</BButton>
          <BButton variant="outline-primary" @click="session.leave(true)">Sign out everywhere</BButton>
        </div>
        <h2>What is kept, and where</h2>
        <p>
          First names or aliases, what was asked and what was answered: all in one file on this machine. No
          birth dates, no photos, nothing of anybody's health. Your school's own data-protection rules come
          first.
        </p>
      </section>
      <form novalidate @submit.prevent="add">
        <h2>An account for a colleague</h2>
        <p>They have classes of their own; neither of you sees the other's.</p>
        <label for="colleague">Name</label>
        <BFormInput
          id="colleague"
          v-model="colleague.name"
          autocomplete="off"
          maxlength="40"
          :state="wrong('colleague', 'name') ? false : null"
        />
        <p class="field-error" role="alert">{{ wrong("colleague", "name") }}</p>
        <label for="colleague-password">Password to begin with</label>
        <BFormInput
          id="colleague-password"
          v-model="colleague.password"
          type="password"
          autocomplete="new-password"
          :state="wrong('colleague', 'password') ? false : null"
        />
        <p class="field-error" role="alert">{{ wrong("colleague", "password") }}</p>
        <BButton
          type="submit"
          variant="primary"
          :disabled="busy || !colleague.name.trim() || !colleague.password"
        >
          Make it
        </BButton>
      </form>
    </div>
    <p v-if="refused && !refused.field" class="field-error" role="alert">{{ refused.message }}</p>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(18rem, 1fr));
  gap: 2rem 3.5rem;
}

h2 {
  margin: 0 0 0.6rem;
}

section h2:nth-of-type(2) {
  margin-top: 2rem;
}

label {
  display: block;
  margin-top: 0.6rem;
  font-weight: 700;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}

.btn {
  margin-top: 0.6rem;
}
</style>
