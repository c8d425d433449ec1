<script setup lang="ts">
import { computed, ref } from "vue";
import { makeFirstAccount, signIn, useDoing } from "@/api";
import { DialFace } from "@/dial";
import { FieldGroup } from "@/parts";
import { useSession } from "./session";

/** The way in for teachers; on the very first start it makes the account. */
const emit = defineEmits<{ done: [] }>();
const session = useSession();
const name = ref("");
const password = ref("");
const { busy, wrong, elsewhere, doing } = useDoing();
const first = computed(() => session.firstStart);
/** Ten past ten: a picture, no time to be read. */
const PICTURE = { hour_hand_degrees: 305, minute_hand_degrees: 60 };

const enter = (): Promise<boolean> =>
  doing(async () => {
    const body = { name: name.value.trim(), password: password.value };
    if (first.value) await makeFirstAccount(body);
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
        Your session has ended: for a while nothing was done here, or you signed out on another device. Sign
        in, and you are back where you were.
      </p>
      <p v-if="first">
        Make your account. It stays on this machine; classes and answers are seen by nobody else.
      </p>
      <FieldGroup id="name" v-slot="{ state }" label="Your name" :wrong="wrong('name')">
        <BFormInput
          id="name"
          v-model="name"
          :state="state"
          autocomplete="username"
          autofocus
          maxlength="40"
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
            maxlength="200"
          />
        </template>
        <template #hint>
          <template v-if="first">Ten characters or more; four words in a row are easy to keep.</template>
          <template v-else>
            Forgotten? On the machine that Vantick runs on,
            <code class="words text-nowrap">bin/vantick password NAME</code>
            sets a new one.
          </template>
        </template>
      </FieldGroup>
      <p v-if="elsewhere('name', 'password')" class="field-error" role="alert">
        {{ elsewhere("name", "password") }}
      </p>
      <div class="ways d-flex align-items-center gap-4 mt-12">
        <BButton type="submit" variant="primary" :disabled="busy || !name.trim() || !password">
          {{ first ? "Make the account" : "Sign in" }}
        </BButton>
        <a class="quiet" href="/desk">To the children's desk</a>
      </div>
      <p v-if="session.demo" class="demo mt-20 mb-0 px-11 py-09">
        This is the demo: sign in as
        <strong>{{ session.demo.name }}</strong>
        with the password
        <strong class="words text-nowrap">{{ session.demo.password }}</strong>
        <BButton variant="outline-primary" :disabled="busy" @click="takeDemo">Use it</BButton>
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
