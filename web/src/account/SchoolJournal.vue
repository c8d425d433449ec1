<script setup lang="ts">
import type { JournalLine } from "@/api";
import { clock, moment } from "@/words";

/** What was done that a school has to be able to tell. No children and no answers are in it. */
defineProps<{ lines: readonly JournalLine[] }>();

const WORDS: Readonly<Record<JournalLine["event"], string>> = {
  child_erased: "erased a child",
  class_erased: "erased a class",
  child_moved: "moved a child to another class",
  class_shared: "shared a class",
  class_handed_over: "handed over a class",
  exported: "exported records",
  copy_taken: "downloaded a full copy",
  list_taken: "imported a list of children",
  list_taken_back: "undid a list of children",
  password_set: "set a password",
  account_removed: "deleted an account",
  token_made: "made a token for another program",
  token_withdrawn: "withdrew a token",
  calendar_shared: "made a calendar address",
  calendar_withdrawn: "withdrew a calendar address",
  school_list_taken: "imported a list of all classes",
  school_list_taken_back: "undid a list of all classes",
  retention_applied: "erased old records or their names",
};

/** "Marit erased a child, Curlew class, for Joris". */
function words(line: JournalLine): string {
  const parts = [`${line.by ?? "Someone without an account"} ${WORDS[line.event]}`];
  if (line.class_name) parts.push(line.class_name);
  if (line.to) parts.push(`for ${line.to}`);
  return parts.join(", ");
}
</script>

<template>
  <section aria-labelledby="journal-head">
    <h2 id="journal-head">Journal</h2>
    <p v-if="!lines.length" class="quiet">
      Nothing yet. What is erased, moved, shared or exported is listed here, without children's names.
    </p>
    <ul v-else class="list-unstyled m-0 d-grid gap-1">
      <li v-for="(line, at) in lines" :key="at">
        {{ words(line) }}
        <span class="quiet">{{ moment(line.at) }}, {{ clock(line.at) }}</span>
      </li>
    </ul>
  </section>
</template>
