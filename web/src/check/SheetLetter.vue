<script setup lang="ts">
import { computed } from "vue";
import { swapSheets, useApiMutation, type Check } from "@/api";

/** Which sheet a child worked on: another letter, where sheets without names went round. */
const props = defineProps<{ check: Check; child: { id: number; name: string } }>();
const emit = defineEmits<{ swapped: [check: Check] }>();

const { refused, run } = useApiMutation();
const mine = computed(() => props.check.letters.find((place) => place.child_id === props.child.id)?.letter);

async function take(letter: string): Promise<void> {
  const other = props.check.letters.find((place) => place.letter === letter);
  if (!other || other.child_id === props.child.id) return;
  await run(async () =>
    emit("swapped", await swapSheets(props.check.id, { child_id: props.child.id, other_id: other.child_id })),
  );
}
</script>

<template>
  <BFormSelect
    v-if="mine"
    size="sm"
    class="letter"
    :model-value="mine"
    :aria-label="`Sheet of ${child.name}`"
    :options="check.letters.map((place) => place.letter)"
    @update:model-value="take(String($event))"
  />
  <span v-if="refused" class="field-error d-block" role="alert">{{ refused.message }}</span>
</template>

<style scoped lang="scss">
.letter {
  display: inline-block;
  width: 4.2rem;
}
</style>
