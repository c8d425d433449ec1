<script setup lang="ts">
import { computed, ref } from "vue";
import { useRouter } from "vue-router";
import { LIMITS, archiveClass, eraseClass, promoteClass, useApiMutation, type SchoolClass } from "@/api";
import { EraseButton, FieldGroup } from "@/ui";
import { useClasses } from "@/school";
import { countedChildren } from "@/words";

/** The end of a class's year: children move up, the class is put away, or erased. */
const props = defineProps<{ schoolClass: SchoolClass }>();

const router = useRouter();
const classes = useClasses();
const { busy, wrong, elsewhere, run } = useApiMutation();
const name = ref("");
const staying = ref<number[]>([]);
const going = computed(() =>
  props.schoolClass.children.map((child) => child.id).filter((id) => !staying.value.includes(id)),
);

const moveUp = (): Promise<boolean> =>
  run(async () => {
    const made = await promoteClass(props.schoolClass.id, { name: name.value, child_ids: going.value });
    await classes.load();
    await router.push({ name: "register", query: { class: String(made.id) } });
  });

const putAway = (archived: boolean): Promise<boolean> =>
  run(async () => classes.renew(await archiveClass(props.schoolClass.id, { archived })));

const erase = (typed: string, present: string): Promise<boolean> =>
  run(async () => {
    await eraseClass(props.schoolClass.id, { name: typed, present_password: present });
    await classes.load();
    await router.push({ name: "home", query: {} });
  });
</script>

<template>
  <BCard>
    <h2>Next school year</h2>
    <form novalidate @submit.prevent="moveUp">
      <FieldGroup
        id="next-name"
        v-slot="{ state }"
        label="New class name"
        :wrong="wrong('name', 'child_ids')"
      >
        <BFormInput id="next-name" v-model="name" :maxlength="LIMITS.ClassName" :state="state" />
      </FieldGroup>
      <details class="mb-3">
        <summary>{{ countedChildren(going.length) }} move up. Who stays?</summary>
        <BFormCheckboxGroup
          v-model="staying"
          class="stay mx-0 mt-2 mb-3"
          :options="schoolClass.children.map((child) => ({ value: child.id, text: child.name }))"
          aria-label="Who stays"
        />
      </details>
      <BButton type="submit" variant="outline-primary" :disabled="busy || !name.trim() || !going.length">
        Move up
      </BButton>
    </form>
    <p class="quiet mt-2">
      Records move with the children. {{ schoolClass.name }} is archived; you can restore it.
    </p>
    <div class="d-flex flex-wrap gap-2 align-items-center">
      <BButton variant="link" size="sm" :disabled="busy" @click="putAway(!schoolClass.archived)">
        {{ schoolClass.archived ? "Restore class" : "Archive class" }}
      </BButton>
      <EraseButton
        :name="schoolClass.name"
        :title="`Erase ${schoolClass.name}?`"
        :act="erase"
        :wrong="wrong('name')"
        confirm
        :wrong-password="wrong('present_password')"
        :busy="busy"
      >
        Erase class…
        <template #says>
          <p>
            This erases the class with its children, checks, lessons and device sessions, here and in all
            copies made by Vantick. Children who moved to another class keep their record. You can't undo
            this.
          </p>
        </template>
      </EraseButton>
    </div>
    <p v-if="elsewhere('name', 'child_ids', 'present_password')" class="field-error" role="alert">
      {{ elsewhere("name", "child_ids", "present_password") }}
    </p>
  </BCard>
</template>

<style scoped lang="scss">
.stay {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8rem, 1fr));
}
</style>
