<script setup lang="ts">
import { NothingYet } from "@/shared";
import { useDropZone, useFileDialog, useMediaQuery } from "@vueuse/core";
import { computed, ref } from "vue";
import { listScans, makeDemoScan, sendPaper, useApiQuery, useApiMutation } from "@/api";
import { useClasses } from "@/school";
import HowPaperIsRead from "./HowPaperIsRead.vue";
import ScanCard from "./ScanCard.vue";

/** The stack from the copier, or photographs of it: files go in, what was read comes out. */
const classes = useClasses();
const LOOK = 700;
const { data, errorMessage, reload } = useApiQuery(listScans, () => classes.current && [classes.current.id], {
  every: (found) =>
    found?.scans.some((scan) => ["coming", "waiting", "reading"].includes(scan.state)) ? LOOK : false,
});
const { busy, errorMessage: refused, run } = useApiMutation();
/** The file on its way, and how much of it has arrived. */
const sending = ref<{ name: string; part: number } | null>(null);
const zone = ref<HTMLElement>();
const { isOverDropZone } = useDropZone(zone, (files) => void send(files ?? []));
const chosen = ref<File[] | null>(null);
/** A phone takes the photo at once: sheet by sheet, each is read while the next is turned. */
const hasCamera = useMediaQuery("(pointer: coarse)");
const camera = useFileDialog({ accept: "image/*", capture: "environment", multiple: false, reset: true });
camera.onChange((files) => void send([...(files ?? [])]));
const scans = computed(() => data.value?.scans ?? []);

async function send(files: readonly File[]): Promise<void> {
  const classId = classes.current?.id;
  if (!classId || busy.value) return;
  await run(async () => {
    for (const file of files) {
      sending.value = { name: file.name, part: 0 };
      await sendPaper(classId, file, (part) => (sending.value = { name: file.name, part }));
      await reload();
    }
  });
  sending.value = null;
  chosen.value = null;
}

const tryIt = (): Promise<boolean> =>
  run(async () => {
    if (classes.current) await makeDemoScan(classes.current.id, {});
  });
</script>

<template>
  <div class="page narrow">
    <div class="page-head">
      <h1>Read paper</h1>
      <span v-if="classes.current" class="quiet">{{ classes.current.name }}</span>
    </div>
    <NothingYet v-if="!classes.current" :to="{ name: 'new-class' }" does="Add class">
      You need a class to read paper.
    </NothingYet>
    <template v-else>
      <section
        ref="zone"
        class="zone text-center on-card px-4 py-20 mb-125"
        :class="{ over: isOverDropZone }"
        aria-label="Files to read"
      >
        <i class="bi bi-file-earmark-arrow-up" aria-hidden="true"></i>
        <BButton
          v-if="hasCamera"
          variant="primary"
          class="d-block mx-auto mb-3"
          :disabled="busy"
          @click="camera.open()"
        >
          Take a photo
        </BButton>
        <p class="mb-2">Scan the stack or photograph each sheet, then add the file here.</p>
        <BFormFile
          v-model="chosen"
          class="mx-auto"
          plain
          multiple
          accept=".pdf,.jpg,.jpeg,.png,.tif,.tiff,.webp,.heic,application/pdf,image/*"
          aria-label="Files from the copier or a phone"
          :disabled="busy"
          @update:model-value="chosen?.length && send(chosen)"
        />
        <p class="quiet mt-2 mb-0">
          PDF, JPEG, PNG, TIFF or WebP, up to 200 pages. You can drop several files here.
        </p>
        <BButton
          v-if="data?.made_up && !scans.length"
          variant="outline-primary"
          class="mt-3"
          :disabled="busy"
          @click="tryIt"
        >
          Try a made-up stack
        </BButton>
      </section>
      <p v-if="sending" role="status" class="d-flex align-items-center gap-3">
        <BProgress class="flex-fill" :value="sending.part" :max="1" :aria-label="`Sending ${sending.name}`" />
        Sending {{ sending.name }}…
      </p>
      <p v-if="refused || errorMessage" class="field-error" role="alert">{{ refused || errorMessage }}</p>
      <HowPaperIsRead v-if="data && !scans.length" />
      <div class="d-grid gap-3">
        <ScanCard v-for="scan in scans" :key="scan.id" :scan="scan" />
      </div>
    </template>
  </div>
</template>

<style scoped lang="scss">
.zone {
  border: 2px dashed var(--v-edge);
  border-radius: var(--v-radius);

  &.over {
    background: var(--v-hour-tint);
  }

  .bi {
    font-size: 2rem;
  }
}
</style>
