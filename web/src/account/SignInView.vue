<script setup lang="ts">
import { computed, ref } from "vue";
import { LIMITS, makeFirstAccount, signIn, useApiMutation } from "@/api";
import { DialFace } from "@/dial";
import { FieldGroup } from "@/ui";
import { useSession } from "./session";

/** The way in for teachers; on the very first start it makes the account. */
const emit = defineEmits<{ done: [] }>();
const session = useSession();
const name = ref("");
const password = ref("");
const country = ref("");
const countries = computed(() =>
  session.countries.map((country) => ({ value: country.id, text: country.name })),
);
const { busy, wrong, elsewhere, run } = useApiMutation();
const first = computed(() => session.firstStart);
/** Ten past ten: a picture, no time to be read. */
const PICTURE = { hour_hand_degrees: 305, minute_hand_degrees: 60 };

const enter = (): Promise<boolean> =>
  run(async () => {
    const body = { name: name.value.trim(), password: password.value };
    if (first.value) await makeFirstAccount({ ...body, country: country.value });
    await signIn(body);
    emit("done");
  });

function takeDemo(): void {
  if (!session.demo) return;
  name.value = session.demo.name;
  password.value = session.demo.password;
  void enter();
}
</script>

<template>
  <div class="sign-in d-grid align-items-center cols-2 mx-auto my-0 p-20">
    <div class="picture justify-self-end"><DialFace :facts="PICTURE" /></div>
    <form novalidate @submit.prevent="enter">
      <h1 class="mb-3">{{ first ? "Welcome to Vantick" : "Sign in" }}</h1>
      <p v-if="session.ended && !first" class="ended px-11 py-07 on-shade" role="status">
        You were signed out: you had been away for a while, or signed out on another device. Sign in to go
        back to where you were.
      </p>
      <p v-if="first">
        Create your account. It stays on this computer. Nobody else sees your classes and answers.
      </p>
      <FieldGroup id="name" v-slot="{ state }" label="Your name" :wrong="wrong('name')">
        <BFormInput
          id="name"
          v-model="name"
          :state="state"
          autocomplete="username"
          autofocus
          :maxlength="LIMITS.TeacherName"
        />
      </FieldGroup>
      <FieldGroup id="password" label="Password" :wrong="wrong('password')">
        <template #default="{ state }">
          <BFormInput
            id="password"
            v-model="password"
            :state="state"
            type="password"
            :autocomplete="first ? 'new-password' : 'current-password'"
            :maxlength="LIMITS.Password"
          />
        </template>
        <template #hint>
          <template v-if="first">At least ten characters. Four words in a row are easy to remember.</template>
          <template v-else>
            Forgotten? On the computer that runs Vantick,
            <code class="words text-nowrap">bin/vantick password NAME</code>
            sets a new one.
          </template>
        </template>
      </FieldGroup>
      <FieldGroup v-if="first" id="country" v-slot="{ state }" label="Country" :wrong="wrong('country')">
        <BFormSelect id="country" v-model="country" :state="state" :options="countries">
          <template #first><option value="" disabled>Choose…</option></template>
        </BFormSelect>
        <p class="quiet mb-0">It sets words, dates and paper. You can change them for each class.</p>
      </FieldGroup>
      <p v-if="elsewhere('name', 'password', 'country')" class="field-error" role="alert">
        {{ elsewhere("name", "password", "country") }}
      </p>
      <div class="ways d-flex align-items-center gap-4 mt-12">
        <BButton
          type="submit"
          variant="primary"
          :disabled="busy || !name.trim() || !password || (first && !country)"
        >
          {{ first ? "Create account" : "Sign in" }}
        </BButton>
        <a class="quiet" href="/join">Children: sign in here</a>
      </div>
      <p v-if="session.demo" class="demo mt-20 mb-0 px-11 py-09">
        This is the demo. Sign in as
        <strong>{{ session.demo.name }}</strong>
        with the password
        <strong class="words text-nowrap">{{ session.demo.password }}</strong>
        <BButton variant="outline-primary" :disabled="busy" @click="takeDemo">Fill in</BButton>
      </p>
    </form>
  </div>
</template>

<style scoped>
.sign-in {
  gap: 4rem;
  min-height: 100vh;
  max-width: 72rem;
}

.picture {
  width: min(26rem, 100%);
}

form {
  max-width: 24rem;
}

label {
  display: block;
  margin-top: 0.6rem;
  font-weight: 700;
}

.hint {
  margin: 0.3rem 0 0;
  font-size: 0.95rem;
}

.ended {
  border-left: 4px solid var(--v-hour);
}

.demo {
  border: 1px dashed var(--v-edge);
  border-radius: var(--v-radius);
}

.words {
  color: inherit;
}

.demo .btn {
  display: flex;
  margin-top: 0.6rem;
}

@media (max-width: 48rem) {
  .sign-in {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.5rem;
    align-content: start;
    padding: 1.5rem;
  }

  .picture {
    width: 7rem;
    justify-self: start;
  }
}
</style>
