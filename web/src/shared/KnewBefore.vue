<script setup lang="ts">
import { computed, ref } from "vue";
import { judgeStep, useApiMutation, useFacts } from "@/api";

/** What a teacher knows from last year, of a child or of the whole class: up to which step they had it. Answers overrule it. */
const props = defineProps<{ classId: number; childIds: number[]; who: string }>();
const emit = defineEmits<{ said: [] }>();

const facts = useFacts();
const { busy, errorMessage, run } = useApiMutation();
const step = ref("");
/** What was said last, to be taken back. */
const last = ref("");
const steps = computed(() => [
  { value: "", text: "Choose a step" },
  ...(facts.catalogue?.steps ?? []).map((step) => ({ value: step.id, text: step.name })),
]);

const say = (of: string, known: boolean | null): Promise<boolean> =>
  run(async () => {
    await judgeStep(props.classId, { step: of, child_ids: props.childIds, known });
    last.value = known ? of : "";
    step.value = "";
    emit("said");
  });
</script>

<template>
  <div class="d-grid gap-2 justify-items-start">
    <p v-if="last" class="m-0" role="status">
      Saved: {{ who }} had this last year, up to {{ facts.rung(last).name.toLowerCase() }}.
      <BButton variant="link" size="sm" :disabled="busy" @click="say(last, null)">
        <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
        Undo
      </BButton>
    </p>
    <form v-else class="d-flex flex-wrap align-items-center gap-2" @submit.prevent="say(step, true)">
      <label :for="`knew-${childIds.join('-')}`">Had this last year, up to</label>
      <BFormSelect :id="`knew-${childIds.join('-')}`" v-model="step" class="w-auto" :options="steps" />
      <BButton type="submit" variant="outline-primary" :disabled="busy || !step">Save</BButton>
    </form>
    <p v-if="errorMessage" class="field-error m-0" role="alert">{{ errorMessage }}</p>
  </div>
</template>
