<script setup lang="ts">
import { onMounted, ref, watch } from "vue";
import { useFacts, wordsOf } from "@/api";
import { useClasses } from "@/class";
import AppBar from "./AppBar.vue";

const facts = useFacts();
const classes = useClasses();
const state = ref<"loading" | "ready" | "failed">("loading");
const trouble = ref("");

async function start(): Promise<void> {
  state.value = "loading";
  try {
    await classes.load();
    await facts.load(classes.current?.conventions ?? {});
    state.value = "ready";
  } catch (error) {
    trouble.value = wordsOf(error);
    state.value = "failed";
  }
}

/** Every page speaks as the class does. */
watch(
  () => classes.current?.conventions,
  (conventions) => state.value === "ready" && void facts.speak(conventions ?? {}).catch(() => undefined),
);

onMounted(start);
</script>

<template>
  <BApp>
    <a class="skip no-print" href="#main">To the page</a>
    <AppBar class="no-print" />
    <main id="main">
      <RouterView v-if="state === 'ready'" />
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
