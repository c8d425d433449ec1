<script setup lang="ts">
import { computed, ref, watch } from "vue";
import type { DeskTurn } from "@/api/client";
import DeskButton from "./DeskButton.vue";
import { rovingFocus } from "./rovingFocus";
import WordStrips from "./WordStrips.vue";

/** What somebody did wrong, one of three; then the right time, in words. */
const props = defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
const cause = ref("");
const words = ref<string[]>([""]);
const strips = ref<InstanceType<typeof WordStrips>>();
const root = ref<HTMLElement>();
const options = computed(() => props.turn.items[0]?.options ?? []);
const named = computed(() => options.value.find((option) => option.id === cause.value)?.name);

watch([cause, words], () => {
  const said = words.value[0];
  texts.value = [cause.value && said ? `${cause.value}; ${said}` : ""];
});
/** A second try asks both again. */
watch(
  () => props.turn.tried,
  () => {
    cause.value = "";
    words.value = [""];
  },
);

defineExpose({
  type: (event: KeyboardEvent) => (cause.value ? (strips.value?.type(event) ?? false) : false),
});
</script>

<template>
  <div class="mistake d-flex flex-column justify-content-center gap-04 min-h-0">
    <div
      v-if="!cause"
      ref="root"
      class="causes d-grid gap-07 align-self-center"
      @keydown="rovingFocus($event, root)"
    >
      <DeskButton v-for="option in options" :key="option.id" class="key" @click="cause = option.id">
        {{ option.name }}
      </DeskButton>
    </div>
    <template v-else>
      <p class="d-flex align-items-center justify-content-center gap-2 m-0">
        <span>
          <strong>{{ named }}.</strong>
          And what time is it?
        </span>
        <DeskButton v-if="!over" class="plain" @click="cause = ''">Change</DeskButton>
      </p>
      <WordStrips ref="strips" v-model="words" :turn="turn" :over="over" />
    </template>
  </div>
</template>

<style scoped>
.causes {
  width: min(28rem, 100%);
}

.causes .key {
  min-height: 3.6rem;
}
</style>
