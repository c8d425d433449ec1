<script setup lang="ts">
import { ref, watch } from "vue";
import { onSignedOut, useFacts, wordsOf } from "@/api";
import { SignInView, useSession } from "@/account";
import { useClasses } from "@/class";
import AppBar from "./AppBar.vue";

const facts = useFacts();
const classes = useClasses();
const session = useSession();
const state = ref<"loading" | "ready" | "stranger" | "failed">("loading");
const trouble = ref("");

async function start(): Promise<void> {
  state.value = "loading";
  try {
    if (!(await session.load()).signed_in) {
      state.value = "stranger";
      return;
    }
    await classes.load();
    await facts.load(classes.current?.conventions ?? {});
    state.value = "ready";
  } catch (error) {
    if (session.signedIn) trouble.value = wordsOf(error);
    state.value = session.signedIn || !session.known ? "failed" : "stranger";
  }
}

/** A session that has ended is seen at the next request; what was typed stays in the browser. */
onSignedOut(() => session.forget());
watch(
  () => session.signedIn,
  (signedIn) => {
    if (signedIn !== (state.value === "ready") && state.value !== "loading") void start();
  },
);

/** Every page speaks as the class does. */
watch(
  () => classes.current?.conventions,
  (conventions) => state.value === "ready" && void facts.speak(conventions ?? {}).catch(() => undefined),
);

void start();
</script>

<template>
  <BApp>
    <a class="skip no-print" href="#main">To the page</a>
    <AppBar v-if="state === 'ready'" class="no-print" />
    <main id="main">
      <RouterView v-if="state === 'ready'" />
      <SignInView v-else-if="state === 'stranger'" @done="start" />
      <p v-else-if="state === 'loading'" class="page quiet" aria-live="polite">Opening Vantick…</p>
      <div v-else class="page" role="alert">
        <h1>Vantick does not answer</h1>
        <p>{{ trouble }}</p>
        <BButton variant="primary" @click="start">Try again</BButton>
      </div>
    </main>
  </BApp>
</template>

<style scoped>
.skip {
  position: absolute;
  left: -99rem;
  z-index: 30;
  background: var(--v-card);
  padding: 0.5rem 1rem;
}

.skip:focus {
  left: 0.5rem;
  top: 0.5rem;
}
</style>
