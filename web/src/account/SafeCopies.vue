<script setup lang="ts">
import { ref } from "vue";
import { exportCopy, useApiMutation, type School } from "@/api";
import { PresentPassword } from "@/ui";
import { erasureWords } from "@/shared";
import { clock, counted, countedChildren, moment, today } from "@/words";

/** A copy of everything, to store somewhere else, and the copies that Vantick makes. */
defineProps<{ school: School }>();
const emit = defineEmits<{ taken: [] }>();

const { busy, wrong, elsewhere, run } = useApiMutation();
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
  const done = await run(async () => save(await exportCopy(present.value)));
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
          ? `Last downloaded ${moment(school.copied_at)}, ${clock(school.copied_at)}.`
          : "Never downloaded yet."
      }}
      A safe copy holds every class of this school. Keep it where only you can open it, not on this computer.
    </p>
    <BButton variant="outline-primary" @click="open = true">
      <i class="bi bi-download" aria-hidden="true"></i>
      Safe copy
    </BButton>
    <p class="quiet mt-2">
      Vantick has {{ counted(school.copies.length, "copy", "copies") }} of its own: one a day for a week, one
      a week for four weeks.
      <template v-if="school.proved">
        Last copy checked {{ moment(school.proved.at) }}: {{ countedChildren(school.proved.children) }}.
      </template>
      To restore a copy:
      <code>bin/vantick restore</code>
    </p>
    <p v-for="job in school.erasures?.open ?? []" :key="job.id" class="quiet" role="status">
      {{ erasureWords(job) }}
    </p>
    <BModal
      v-model="open"
      title="Download a full copy"
      ok-title="Download copy"
      :ok-disabled="busy || !present"
      cancel-title="Cancel"
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
