<script setup lang="ts">
import { computed, ref, watch } from "vue";
import type { DeskTurn } from "@/api/client";
import { rove } from "./rove";
import WordStrips from "./WordStrips.vue";

/** What somebody did wrong, one of three; then the right time, in words. */
const props = defineProps<{ turn: DeskTurn; over: boolean }>();
const texts = defineModel<string[]>({ required: true });
const cause = ref("");
const words = ref<string[]>([""]);
const strips = ref<InstanceType<typeof WordStrips>>();
const root = ref<HTMLElement>();
const options = computed(() => props.turn.items[0]?.options ?? []);
const named = computed(() => options.value.find((one) => one.id === cause.value)?.name);

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
  <div class="mistake">
    <div v-if="!cause" ref="root" class="causes" @keydown="rove($event, root)">
      <BButton v-for="one in options" :key="one.id" variant="bare" class="key" @click="cause = one.id">
        {{ one.name }}
      </BButton>
    </div>
    <template v-else>
      <p class="cause">
        <span>
          <strong>{{ named }}.</strong>
          And what time is it?
        </span>
        <BButton v-if="!over" variant="bare" class="plain" @click="cause = ''">Change</BButton>
      </p>
      <WordStrips ref="strips" v-model="words" :turn="turn" :over="over" />
    </template>
  </div>
</template>

<style scoped>
.mistake {
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 0.4rem;
  min-height: 0;
}

.causes {
  display: grid;
  gap: 0.7rem;
  width: min(28rem, 100%);
  align-self: center;
}

.causes .key {
  min-height: 3.6rem;
}

.cause {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 0.5rem;
  margin: 0;
}
</style>
