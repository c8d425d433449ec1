<script setup lang="ts">
import { nextTick, ref } from "vue";
import {
  LIMITS,
  eraseChild,
  markLeft,
  moveChild,
  renameChild,
  useApiMutation,
  type Child,
  type SchoolClass,
} from "@/api";
import { EraseButton } from "@/ui";

/** A child of the register, and what can be done: another name, another class, left, erased. */
const props = defineProps<{
  schoolClass: SchoolClass;
  child: Child;
  others: readonly SchoolClass[];
  left?: boolean;
}>();
const emit = defineEmits<{ changed: [schoolClass: SchoolClass | null]; left: [child: Child] }>();

const { busy, errorMessage, wrong, elsewhere, run } = useApiMutation();
const naming = ref(false);
const name = ref(props.child.name);
const field = ref<{ element: HTMLInputElement | null }>();

async function begin(): Promise<void> {
  name.value = props.child.name;
  naming.value = true;
  await nextTick();
  field.value?.element?.select();
}

const tell = (change: () => Promise<SchoolClass>): Promise<boolean> =>
  run(async () => emit("changed", await change()));

async function rename(): Promise<void> {
  if (await tell(() => renameChild(props.schoolClass.id, props.child.id, { name: name.value })))
    naming.value = false;
}

async function leave(gone: boolean): Promise<void> {
  const done = await tell(() => markLeft(props.schoolClass.id, props.child.id, { left: gone }));
  if (done && gone) emit("left", props.child);
}
const move = (to: number): Promise<boolean> =>
  tell(() => moveChild(props.schoolClass.id, props.child.id, { to_class_id: to }));
const erase = (typed: string): Promise<boolean> =>
  run(async () => {
    await eraseChild(props.schoolClass.id, props.child.id, { name: typed });
    emit("changed", null);
  });
const file = (ending: string): string =>
  `/api/classes/${props.schoolClass.id}/children/${props.child.id}/file.${ending}`;
</script>

<template>
  <li class="d-flex flex-wrap align-items-center row-gap-1 column-gap-3 py-02 border-bottom">
    <form v-if="naming" class="d-flex gap-2 align-items-start" @submit.prevent="rename">
      <BFormInput
        ref="field"
        v-model="name"
        size="sm"
        :maxlength="LIMITS.ChildName"
        :aria-label="`Another name for ${child.name}`"
        :state="errorMessage ? false : null"
        @keydown.esc.stop="naming = false"
      />
      <BButton type="submit" size="sm" variant="primary" :disabled="busy || !name.trim()">Save</BButton>
      <BButton size="sm" variant="link" @click="naming = false">Cancel</BButton>
    </form>
    <RouterLink v-else class="name fw-bold" :to="{ name: 'child', params: { child: child.id } }">
      {{ child.name }}
    </RouterLink>
    <span v-if="!naming" class="ways d-flex flex-wrap align-items-center">
      <template v-if="!left">
        <BButton variant="link" size="sm" title="Rename" :disabled="busy" @click="begin">
          <i class="bi bi-pencil" aria-hidden="true"></i>
          <span class="visually-hidden">Rename {{ child.name }}</span>
        </BButton>
        <BDropdown v-if="others.length" text="Move to" variant="link" size="sm" :disabled="busy">
          <BDropdownItemButton
            v-for="other in others"
            :key="other.id"
            role="menuitem"
            @click="move(other.id)"
          >
            {{ other.name }}
          </BDropdownItemButton>
        </BDropdown>
        <BButton variant="link" size="sm" title="Has left" :disabled="busy" @click="leave(true)">
          <i class="bi bi-box-arrow-right" aria-hidden="true"></i>
          <span class="visually-hidden">{{ child.name }} has left</span>
        </BButton>
      </template>
      <BButton v-else variant="link" size="sm" :disabled="busy" @click="leave(false)">
        Restore
        <span class="visually-hidden">{{ child.name }}</span>
      </BButton>
      <EraseButton
        :name="child.name"
        :title="`Erase ${child.name}?`"
        :act="erase"
        :wrong="wrong('name')"
        :busy="busy"
      >
        <i class="bi bi-trash" aria-hidden="true" title="Erase…"></i>
        <span class="visually-hidden">Erase {{ child.name }}…</span>
        <template #says>
          <p>
            This erases everything about {{ child.name }}: answers, practice and pictures, here and in all
            copies made by Vantick. Copies you made yourself stay as they are. You can't undo this.
          </p>
          <p>Scans still being read, and pages without a name, are erased too. Scan them again afterwards.</p>
          <p class="mb-1">Save a copy first?</p>
          <p class="d-flex flex-wrap gap-2">
            <BButton variant="outline-primary" size="sm" :href="file('pdf')" download>
              Everything, to read (PDF)
            </BButton>
            <BButton variant="outline-primary" size="sm" :href="file('json')" download>
              For another Vantick (JSON)
            </BButton>
            <BButton variant="outline-primary" size="sm" :href="file('csv')" download>Answers (CSV)</BButton>
          </p>
        </template>
      </EraseButton>
    </span>
    <p v-if="(naming && errorMessage) || elsewhere('name')" class="field-error w-100" role="alert">
      {{ errorMessage }}
    </p>
  </li>
</template>

<style scoped lang="scss">
.name {
  min-width: 9rem;
}

.ways {
  margin-left: auto;
}

form {
  max-width: 26rem;
}
</style>
