<script setup lang="ts">
import { computed, ref, shallowRef } from "vue";
import { useRouter } from "vue-router";
import { packageSent, previewPackage, importQti, useApiMutation, useFacts, type PackageFound } from "@/api";
import { DialFace } from "@/dial";
import { FileField } from "@/ui";
import { counted } from "@/words";

/** Clocks from another program: what could be read is shown, and what could not, before a check is made of those that are ticked. */
const props = defineProps<{ classId: number }>();

const router = useRouter();
const facts = useFacts();
const file = ref<File | null>(null);
const sent = ref("");
const found = shallowRef<PackageFound | null>(null);
const ticked = ref<string[]>([]);
const most = computed(() => found.value?.most ?? 0);
const full = computed(() => ticked.value.length >= most.value);
const { busy, errorMessage, run } = useApiMutation();

async function look(): Promise<void> {
  const chosen = file.value;
  found.value = null;
  if (!chosen) return;
  await run(async () => {
    sent.value = await packageSent(chosen);
    found.value = await previewPackage(props.classId, { file: sent.value });
    ticked.value = found.value.times.slice(0, most.value);
  });
}

const take = (): Promise<boolean> =>
  run(async () => {
    const made = await importQti(props.classId, { file: sent.value, times: ticked.value });
    await router.push({ name: "slips", params: { id: made.id } });
  });
</script>

<template>
  <details class="mt-4">
    <summary>Clocks from another program (QTI)</summary>
    <FileField
      id="package"
      v-model="file"
      label="Package or question"
      accept=".zip,.xml"
      :wrong="errorMessage"
      class="mt-2"
      @chosen="look"
    />
    <div v-if="found" role="status">
      <div class="read d-grid gap-2 mb-075">
        <figure v-for="time in found.times" :key="time" class="m-0 text-center">
          <DialFace :facts="facts.of(time)" :label="`A clock at ${time}`" detail="small" />
          <figcaption>
            <BFormCheckbox
              v-model="ticked"
              :value="time"
              :disabled="full && !ticked.includes(time)"
              class="d-inline-block"
            >
              {{ time }}
            </BFormCheckbox>
          </figcaption>
        </figure>
      </div>
      <ul v-if="found.left_out.length" class="quiet">
        <li v-for="question in found.left_out" :key="question.item">
          {{ question.item }}: {{ question.why }}
        </li>
      </ul>
      <p v-if="found.times.length > most" class="quiet">
        A check has up to {{ most }} clocks. Tick those you want.
      </p>
      <BButton variant="outline-primary" :disabled="busy || !ticked.length" @click="take">
        {{ found.times.length ? `Use ${counted(ticked.length, "clock")}` : "No times found" }}
      </BButton>
    </div>
  </details>
</template>

<style scoped>
.read {
  grid-template-columns: repeat(auto-fill, minmax(4.5rem, 1fr));
}
</style>
