<script setup lang="ts">
import { defineAsyncComponent, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { askAhead, onSignedOut, readNews, useFacts, wordsOf } from "@/api";
import { useSession } from "@/account";
import { useKeptFocus, useOverlay } from "@/route";
import { useClasses } from "@/school";
import { addressed } from "./router";
import { useUnreached } from "./unreached";

// Whoever is signed in needs the one, a stranger the other; neither waits for both.
const bar = () => import("./AppBar.vue");
const AppBar = defineAsyncComponent(bar);
const SignInView = defineAsyncComponent(() => import("@/account/SignInView.vue"));

const facts = useFacts();
const classes = useClasses();
const session = useSession();
const router = useRouter();
const overlay = useOverlay();
const { unreached, stay } = useUnreached(router);
useKeptFocus();
const state = ref<"loading" | "ready" | "stranger" | "failed">("loading");
const errorMessage = ref("");

async function start(): Promise<void> {
  state.value = "loading";
  // On its way while the session is asked for.
  void bar().catch(() => undefined);
  try {
    const here = await session.load();
    if (!here.signed_in) {
      state.value = "stranger";
      return;
    }
    classes.take(here.classes);
    chooseClass();
    askForHome();
    // The words of the class are on their way while the page's script is.
    await Promise.all([facts.speak(classes.current?.conventions ?? {}), router.isReady()]);
    await nameClass();
    state.value = "ready";
  } catch (error) {
    if (session.signedIn) errorMessage.value = wordsOf(error);
    state.value = session.signedIn || !session.known ? "failed" : "stranger";
  }
}

/** What Home tells is on its way while the words of the class are. */
function askForHome(): void {
  if (addressed().name === "home" && classes.current) askAhead(readNews, [classes.current.id]);
}

/** The class that the address names, if it is a class of this teacher. */
function chooseClass(): void {
  const named = Number(addressed().query.class);
  if (classes.all.some(({ id }) => id === named)) classes.choose(named);
}

/** Names the class in the address. */
async function nameClass(): Promise<void> {
  const { query } = router.currentRoute.value;
  const id = String(classes.current?.id ?? "");
  if (id && query.class !== id) await router.replace({ query: { ...query, class: id } });
}

/** A session that has ended is seen at the next request; what was typed stays in the browser. */
onSignedOut(() => session.forget());
watch(
  () => session.signedIn,
  (signedIn) => {
    if (signedIn === (state.value === "ready") || state.value === "loading") return;
    // Whoever signed out is done with the page; whose session ended comes back to it.
    if (!signedIn && !session.ended) void router.replace({ path: "/", query: {} });
    void start();
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
    <a class="skip position-absolute no-print on-card px-3 py-2" href="#main" :inert="overlay.covered">
      Skip to content
    </a>
    <AppBar v-if="state === 'ready'" class="no-print" :inert="overlay.covered" />
    <p v-if="unreached" class="unreached m-0 no-print on-shade" role="alert">
      Can't reach Vantick right now. This page will open as soon as it's back.
      <BButton variant="link" @click="stay">Stay here</BButton>
    </p>
    <main id="main" tabindex="-1">
      <RouterView v-if="state === 'ready'" />
      <SignInView v-else-if="state === 'stranger'" @done="start" />
      <p v-else-if="state === 'loading'" class="page quiet" aria-live="polite">Opening Vantick…</p>
      <div v-else class="page" role="alert">
        <h1>Can't reach Vantick</h1>
        <p>{{ errorMessage }}</p>
        <BButton variant="primary" @click="start">Try again</BButton>
      </div>
    </main>
  </BApp>
</template>

<style scoped>
.unreached {
  padding: 0.5rem 1.75rem;
}

.skip {
  left: -99rem;
  z-index: 30;
}

.skip:focus {
  left: 0.5rem;
  top: 0.5rem;
}
</style>
