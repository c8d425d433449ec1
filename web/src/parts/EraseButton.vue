<script setup lang="ts">
import { ref } from "vue";
import FieldGroup from "./FieldGroup.vue";

/** A button for what can never be taken back: the name has to be typed once more, after a copy was offered. */
const props = defineProps<{
  /** Whose name it is, as it has to be typed. */
  name: string;
  title: string;
  /** Erases it; false where it was refused. */
  act: (typed: string) => Promise<boolean>;
  wrong: string;
  busy: boolean;
}>();
const open = ref(false);
const typed = ref("");

async function erase(): Promise<void> {
  if (await props.act(typed.value)) open.value = false;
}
</script>

<template>
  <BButton variant="link" size="sm" class="erase" @click="open = true"><slot /></BButton>
  <BModal
    v-model="open"
    :title="title"
    ok-title="Erase for good"
    ok-variant="danger"
    :ok-disabled="busy || typed.trim() !== name"
    cancel-title="Keep"
    cancel-variant="outline-primary"
    focus="cancel"
    centered
    no-animation
    no-header-close
    teleport-to="body"
    @hidden="typed = ''"
    @ok.prevent="erase"
  >
    <slot name="says" />
    <FieldGroup :id="`erase-${name}`" v-slot="{ state }" :label="`Type ${name} to erase`" :wrong="wrong">
      <BFormInput :id="`erase-${name}`" v-model="typed" autocomplete="off" :state="state" />
    </FieldGroup>
  </BModal>
</template>

<style scoped>
.erase {
  color: var(--v-misread);
}
</style>
