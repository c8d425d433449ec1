<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Ladder } from "@/api";
import { StepDial } from "@/dial";
import { useClasses } from "@/school";
import { useNext } from "./useNext";

/** The step that is proposed for the class, with the reason, and the lesson it would be. */
const props = defineProps<{ ladder: Ladder; busy: boolean; beside?: boolean }>();
const minutes = defineModel<number>("minutes", { required: true });
const day = defineModel<string>("day", { required: true });
defineEmits<{ plan: [] }>();

const facts = useFacts();
const classes = useClasses();
const { rung, reason, names } = useNext(() => props.ladder);
const below = computed(() => (rung.value?.builds_on ?? []).map((id) => facts.rung(id).name.toLowerCase()));
</script>

<template>
  <BCard class="next">
    <StepDial v-if="rung" class="next-dial" :step="rung.id" detail="full" />
    <div>
      <p class="eyebrow">
        {{ beside ? "Another lesson, from the answers" : `Next for ${classes.current?.name}` }}
      </p>
      <h1>{{ rung?.name ?? "All steps taught" }}</h1>
      <p class="reason fs-110 my-02">{{ reason }}</p>
      <p v-if="names.length" class="quiet names m-0">{{ names.join(", ") }}</p>
      <p v-if="below.length" class="quiet m-0">Builds on {{ below.join(" and ") }}.</p>
      <form
        v-if="rung"
        class="make d-flex flex-wrap align-items-end gap-075 mt-08"
        @submit.prevent="$emit('plan')"
      >
        <label class="fs-95 tone-quiet">
          Minutes
          <BFormInput
            v-model.number="minutes"
            type="number"
            :min="facts.catalogue?.lengths.least"
            :max="facts.catalogue?.lengths.most"
          />
        </label>
        <label class="fs-95 tone-quiet">
          Day
          <BFormInput v-model="day" type="date" />
        </label>
        <BButton type="submit" variant="primary" :disabled="busy">Plan lesson</BButton>
      </form>
    </div>
  </BCard>
</template>

<style scoped lang="scss">
.next :deep(.card-body) {
  display: grid;
  grid-template-columns: 10.5rem minmax(0, 1fr);
  gap: 1.75rem;
  align-items: center;
}

h1 {
  font-size: 2rem;
}

input[type="number"] {
  width: 5.5rem;
}

@media (max-width: 40rem) {
  .next :deep(.card-body) {
    grid-template-columns: minmax(0, 1fr);
  }

  .next-dial {
    max-width: 8rem;
  }
}
</style>
