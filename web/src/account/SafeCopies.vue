<script setup lang="ts">
import { ref } from "vue";
import { takeCopy, useDoing, type School } from "@/api";
import { PresentPassword } from "@/parts";
import { erasureWords } from "@/told";
import { clock, counted, countedChildren, moment, today } from "@/words";

/** A copy of everything to be kept somewhere else, and what Vantick keeps by itself. */
defineProps<{ school: School }>();
const emit = defineEmits<{ taken: [] }>();

const { busy, wrong, elsewhere, doing } = useDoing();
const open = ref(false);
const present = ref("");

/** The browser saves it as it saves any file. */
function save(copy: Blob): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(copy);
  link.download = `vantick-${today()}.sqlite3`;
  link.click();
  URL.revokeObjectURL(link.href);
}

async function take(): Promise<void> {
  const done = await doing(async () => save(await takeCopy(present.value)));
  if (!done) return;
  open.value = false;
  emit("taken");
}
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
    <BButton variant="outline-primary" @click="open = true">
      <i class="bi bi-download" aria-hidden="true"></i>
      Safe copy
    </BButton>
    <p class="quiet mt-2">
      Vantick keeps {{ counted(school.copies.length, "copy", "copies") }} by itself: one a day for a week, one
      a week for four.
      <template v-if="school.proved">
        Last copy checked {{ moment(school.proved.at) }}: {{ countedChildren(school.proved.children) }}.
      </template>
      What puts a copy back:
      <code>bin/vantick restore</code>
    </p>
    <p v-for="job in school.erasures?.open ?? []" :key="job.id" class="quiet" role="status">
      {{ erasureWords(job) }}
    </p>
    <BModal
      v-model="open"
      title="Take a copy of everything"
      ok-title="Save the copy"
      :ok-disabled="busy || !present"
      cancel-title="Not yet"
      cancel-variant="outline-primary"
      centered
      no-animation
      no-header-close
      teleport-to="body"
      @hidden="present = ''"
      @ok.prevent="take"
    >
      <form novalidate @submit.prevent="take">
        <PresentPassword id="present-copy" v-model="present" :wrong="wrong('present_password')" />
      </form>
      <p v-if="elsewhere('present_password')" class="field-error" role="alert">
        {{ elsewhere("present_password") }}
      </p>
    </BModal>
  </section>
</template>
