<script setup lang="ts">
import type { School } from "@/api";
import { clock, counted, moment } from "@/words";

/** A copy of everything to be kept somewhere else, and what Vantick keeps by itself. */
defineProps<{ school: School }>();
const emit = defineEmits<{ taken: [] }>();

/** By when the browser has begun to take it. */
const SOON = 1500;
const taken = (): number => window.setTimeout(() => emit("taken"), SOON);
</script>

<template>
  <section aria-labelledby="copies-head">
    <h2 id="copies-head">Safe copy</h2>
    <p>
      {{
        school.copied_at
          ? `Last taken ${moment(school.copied_at)}, ${clock(school.copied_at)}.`
          : "None was taken yet."
      }}
      It holds every class of this school: keep it where only you can open it, and not on this machine.
    </p>
    <BButton variant="outline-primary" href="/api/school/copy.sqlite3" download @click="taken">
      <i class="bi bi-download" aria-hidden="true"></i>
      Safe copy
    </BButton>
    <p class="quiet mt-2">
      Vantick keeps {{ counted(school.copies.length, "copy", "copies") }} by itself: one a day for a week, one
      a week for four. What puts a copy back:
      <code>bin/vantick restore</code>
    </p>
  </section>
</template>
