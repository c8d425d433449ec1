<script setup lang="ts">
import { computed, ref } from "vue";
import { useFacts, type SheetSettings } from "@/api";

/** One dial for a teacher's own papers, as SVG or PNG, dressed like those of the sheet. */
const props = defineProps<{ look: SheetSettings }>();

const PIXELS = 1200;
const facts = useFacts();
const time = ref("7:45");
const known = computed(() => time.value.trim() === "" || facts.placeOf(time.value.trim()) !== undefined);
const address = computed(() => {
  const { numerals = "all", marks = "all", minute_numbers = "none", halves = false } = props.look;
  const query = new URLSearchParams({ numerals, marks, minute_numbers, halves: String(halves) });
  if (time.value.trim()) query.set("time", time.value.trim());
  return `/api/dial.svg?${query}`;
});

function save(href: string, name: string): void {
  const link = document.createElement("a");
  link.href = href;
  link.download = name;
  link.click();
}

/** The browser turns the drawing into dots. */
async function png(): Promise<void> {
  const svg = await (await fetch(address.value)).text();
  const image = new Image(PIXELS, PIXELS);
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = PIXELS;
  canvas.getContext("2d")?.drawImage(image, 0, 0, PIXELS, PIXELS);
  save(canvas.toDataURL("image/png"), "dial.png");
}
</script>

<template>
  <BCard>
    <h2 class="eyebrow">A single clock, for your own worksheets</h2>
    <BFormInput
      v-model="time"
      size="sm"
      maxlength="5"
      aria-label="Time (empty for no hands)"
      :state="known ? null : false"
    />
    <p v-if="!known" class="field-error" role="alert">
      Type a time like 7:45, or leave it empty for no hands.
    </p>
    <div class="d-flex gap-2 mt-2">
      <BButton size="sm" variant="outline-primary" :disabled="!known" @click="save(address, 'dial.svg')">
        SVG
      </BButton>
      <BButton size="sm" variant="outline-primary" :disabled="!known" @click="png">PNG</BButton>
    </div>
  </BCard>
</template>
