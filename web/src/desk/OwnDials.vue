<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { Refused } from "@/api/client";
import DialFace from "@/dial/DialFace.vue";
import { ownDials, type OwnDial } from "./ask";

/** The clocks that the child can read now, the hardest first. */
defineEmits<{ back: [] }>();
const dials = shallowRef<OwnDial[] | null>(null);
const trouble = ref("");

onMounted(async () => {
  try {
    dials.value = await ownDials();
  } catch (error) {
    trouble.value =
      error instanceof Refused && !error.passing ? error.message : "The network is away just now.";
  }
});
</script>

<template>
  <main class="own">
    <header>
      <h1>{{ dials?.length ? `The clocks I can read: ${dials.length}` : "The clocks I can read" }}</h1>
      <BButton variant="bare" class="key" @click="$emit('back')">Back</BButton>
    </header>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <p v-else-if="dials && !dials.length">Here comes every clock that you read rightly.</p>
    <ul v-else-if="dials">
      <li v-for="dial in dials" :key="dial.words">
        <DialFace :facts="dial" :margin="3" />
        <span>{{ dial.words }}</span>
      </li>
    </ul>
  </main>
</template>

<style scoped>
.own {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 0.8rem 1.2rem;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 1rem;
  margin-bottom: 1rem;
}

h1 {
  margin: 0;
  font-size: 1.5rem;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(7.5rem, 1fr));
  gap: 1.2rem;
  margin: 0;
  padding: 0;
  list-style: none;
  text-align: center;
}

li span {
  display: block;
  margin-top: 0.3rem;
}
</style>
