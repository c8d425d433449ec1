<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type LessonStage } from "@/api";

/** How children work in a part of the lesson: what to say, what to look for, and other ways to choose. */
const props = defineProps<{ stage: LessonStage; busy: boolean }>();
defineEmits<{ choose: [id: string] }>();

const facts = useFacts();
const way = computed(() => facts.kind(props.stage.activity));
</script>

<template>
  <div v-if="way?.say" class="way d-grid gap-1 mb-3 on-shade">
    <label v-if="stage.choices.length > 1" class="pick d-flex flex-wrap align-items-center gap-2">
      Way to work
      <BFormSelect
        :model-value="stage.activity"
        :disabled="busy"
        size="sm"
        @change="$emit('choose', ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="id in stage.choices" :key="id" :value="id">
          {{ facts.kindName(id) }}{{ facts.kind(id)?.moves ? " (they move)" : "" }}
        </option>
      </BFormSelect>
    </label>
    <p v-else class="fw-bold">{{ way.name }}</p>
    <p>
      <b>Say:</b>
      {{ way.say }}
    </p>
    <p>
      <b>Look for:</b>
      {{ way.look_for }}
    </p>
    <p v-if="way.needs.length" class="quiet">
      <b>Have ready:</b>
      {{ way.needs.join(", ") }}
    </p>
  </div>
</template>

<style scoped lang="scss">
.way {
  padding: 0.7rem 0.9rem;
  border-radius: 0.8rem;
}

.pick {
  color: var(--v-quiet);

  .form-select {
    width: auto;
  }
}

p {
  margin: 0;
}
</style>
