<script setup lang="ts">
import { computed } from "vue";
import { listRosters, returnRoster, useApiQuery, useApiMutation, type SchoolClass } from "@/api";
import { countedChildren, moment } from "@/words";

/** The list that was taken last, and the way back: names and children as they were before. */
const props = defineProps<{ classId: number }>();
const emit = defineEmits<{ returned: [schoolClass: SchoolClass] }>();

const { data } = useApiQuery(listRosters, () => [props.classId], { select: (found) => found.lists });
const last = computed(() => data.value?.find((list) => list.last));
const { busy, errorMessage, run } = useApiMutation();

const back = (id: number): Promise<boolean> =>
  run(async () => {
    const schoolClass = await returnRoster(props.classId, id);
    emit("returned", schoolClass);
  });
</script>

<template>
  <p v-if="last" class="m-0">
    <span class="quiet">
      List added {{ moment(last.taken_at) }}: {{ countedChildren(last.added) }} new. You can undo it for
      thirty days.
    </span>
    <BButton variant="link" :disabled="busy" @click="back(last.id)">
      <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
      Undo list
    </BButton>
  </p>
  <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
</template>
