<script setup lang="ts">
import { useClipboard } from "@vueuse/core";
import { computed, ref } from "vue";
import {
  makeCalendarAddress,
  readCalendarAddress,
  useApiQuery,
  useApiMutation,
  withdrawCalendarAddress,
  type CalendarAddress,
} from "@/api";
import { HereAlone, QrCode, SureButton } from "@/ui";
import { useClasses } from "@/school";

/** Lessons in a calendar: as a file of today, or at a private address that calendars follow. */
const props = defineProps<{
  classId: number;
  /** Where the file is. */
  file: string;
}>();
defineOptions({ inheritAttrs: false });

const open = ref(false);
/** A substitute gives nobody an address. */
const classes = useClasses();
const keeps = computed(() => classes.current?.right !== "teaching");
const { data } = useApiQuery(readCalendarAddress, () => (open.value && keeps.value ? [props.classId] : null));
const { busy, errorMessage, run } = useApiMutation();
const { copy, copied, isSupported } = useClipboard({ legacy: true });

const change = (does: (classId: number) => Promise<CalendarAddress>): Promise<boolean> =>
  run(async () => {
    await does(props.classId);
  });
</script>

<template>
  <BButton v-bind="$attrs" @click="open = true"><slot /></BButton>
  <BModal
    v-model="open"
    title="Lessons in your calendar"
    title-tag="h2"
    no-footer
    centered
    no-animation
    teleport-to="body"
  >
    <section v-if="keeps" aria-labelledby="calendar-follow" class="mb-4">
      <h3 id="calendar-follow" class="fs-6">A calendar that follows</h3>
      <template v-if="data?.address">
        <p>Subscribe to this address. Your calendar checks it every few hours. No child is in it.</p>
        <div class="d-flex flex-wrap gap-3 align-items-center">
          <QrCode class="qr flex-none" :path="data.qr" label="The calendar's address as a QR code" />
          <div class="where flex-1">
            <p class="text-anywhere mb-2">
              <code>{{ data.address }}</code>
            </p>
            <div class="d-flex flex-wrap gap-2">
              <BButton v-if="isSupported" variant="primary" size="sm" @click="copy(data.address)">
                {{ copied ? "Copied" : "Copy address" }}
              </BButton>
              <BButton variant="outline-primary" size="sm" :href="data.webcal ?? ''">
                Open in calendar
              </BButton>
            </div>
          </div>
        </div>
        <HereAlone v-if="!data.reachable" class="mt-2 mb-0" />
        <SureButton
          class="mt-2 p-0"
          variant="link"
          title="Withdraw this address?"
          does="Withdraw"
          :busy="busy"
          :act="() => change(withdrawCalendarAddress)"
        >
          Withdraw address…
          <template #says>Calendars that follow it will find nothing there. You can make a new one.</template>
        </SureButton>
      </template>
      <template v-else-if="data">
        <p>
          A private address for the lessons of this class. Whoever has it can read steps and days, but no
          names.
        </p>
        <BButton variant="primary" :disabled="busy" @click="change(makeCalendarAddress)">
          Make address
        </BButton>
      </template>
      <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    </section>
    <section aria-labelledby="calendar-once">
      <h3 id="calendar-once" class="fs-6">A file, as it is today</h3>
      <BButton variant="outline-primary" :href="file" download>Save calendar file</BButton>
    </section>
  </BModal>
</template>

<style scoped>
.qr {
  width: 9rem;
}

.where {
  min-width: 12rem;
}
</style>
