<script setup lang="ts">
import { ref } from "vue";
import FieldGroup from "./FieldGroup.vue";
import PresentPassword from "./PresentPassword.vue";

/** A button for what can never be taken back: the name has to be typed once more, after a copy was offered. */
const props = defineProps<{
  /** Whose name it is, as it has to be typed. */
  name: string;
  title: string;
  /** Erases it; false where it was refused. */
  act: (typed: string, present: string) => Promise<boolean>;
  wrong: string;
  busy: boolean;
  /** Whether the present password is wanted as well. */
  confirm?: boolean;
  wrongPassword?: string;
}>();
const open = ref(false);
const typed = ref("");
const present = ref("");

async function erase(): Promise<void> {
  if (await props.act(typed.value, present.value)) open.value = false;
}

function forget(): void {
  typed.value = "";
  present.value = "";
}
</script>

<template>
  <BButton variant="link" size="sm" class="erase" @click="open = true"><slot /></BButton>
  <BModal
    v-model="open"
    :title="title"
    ok-title="Erase for good"
    ok-variant="danger"
    :ok-disabled="busy || typed.trim() !== name || (confirm && !present)"
    cancel-title="Cancel"
    cancel-variant="outline-primary"
    focus="cancel"
    centered
    no-animation
    no-header-close
    teleport-to="body"
    @hidden="forget"
    @ok.prevent="erase"
  >
    <slot name="says" />
    <FieldGroup :id="`erase-${name}`" v-slot="{ state }" :label="`Type ${name} to erase`" :wrong="wrong">
      <BFormInput :id="`erase-${name}`" v-model="typed" autocomplete="off" :state="state" />
    </FieldGroup>
    <PresentPassword v-if="confirm" :id="`present-${name}`" v-model="present" :wrong="wrongPassword" />
  </BModal>
</template>

<style scoped>
.erase {
  color: var(--v-misread);
}
</style>
