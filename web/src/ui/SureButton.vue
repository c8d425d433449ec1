<script setup lang="ts">
import { ref } from "vue";
import type { ButtonVariant, Size } from "bootstrap-vue-next";

/**
 * A button that asks once more before it does what cannot be taken back. The keys are in the question while it is open;
 * afterwards they are where they were, or at what has come in its place.
 */
defineOptions({ inheritAttrs: false });
const props = defineProps<{
  title: string;
  /** What the button in the question says. */
  does: string;
  /** Does it; false where it was refused. */
  act: () => Promise<unknown>;
  /** What the other button says. */
  keeps?: string;
  busy?: boolean;
  variant?: ButtonVariant;
  size?: Size;
}>();
const open = ref(false);

async function sure(): Promise<void> {
  await props.act();
  open.value = false;
}
</script>

<template>
  <BButton v-bind="$attrs" :variant="variant" :size="size" @click="open = true"><slot /></BButton>
  <BModal
    v-model="open"
    :title="title"
    :ok-title="does"
    :ok-disabled="busy"
    :cancel-title="keeps ?? 'Cancel'"
    cancel-variant="outline-primary"
    focus="cancel"
    centered
    no-animation
    no-header-close
    teleport-to="body"
    @ok.prevent="sure"
  >
    <p class="mb-0"><slot name="says" /></p>
  </BModal>
</template>
