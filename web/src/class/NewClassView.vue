<script setup lang="ts">
import { useSessionStorage } from "@vueuse/core";
import { useRouter } from "vue-router";
import { LIMITS, previewRoster, importRoster, useApiMutation, type SchoolClass } from "@/api";
import { FieldGroup, FileField } from "@/ui";
import { useClasses } from "@/school";
import CommasMean from "./CommasMean.vue";
import LeftOutLines from "./LeftOutLines.vue";
import NamesShown from "./NamesShown.vue";
import RosterTable from "./RosterTable.vue";
import { useListFile } from "./useListFile";
import { useNamesRead } from "./useNamesRead";
import { LISTS } from "./sameChildren";

/** Makes a class from a list of first names. */
const router = useRouter();
const classes = useClasses();
/** Kept in this tab until the class is made: a register is long to type. */
const form = useSessionStorage("vantick.draft.class", { name: "", school: "", names: "" });
const { busy, wrong, elsewhere, run } = useApiMutation();
const { read, commas, errorMessage, shown } = useNamesRead(
  () => form.value.names,
  () => null,
);

const list = useListFile(put);
const { file, of, options, several, chosen } = list;

/** Names from a file stand in the form, where they can be looked at and changed. */
function put(): void {
  const listed = chosen.value;
  if (!listed) return;
  form.value.names = listed.children.join("\n");
  if (listed.title && !form.value.name) form.value.name = listed.title.slice(0, 60);
}

/** The ids on the list stay with the children, so that the next list knows them; nothing else may change by it. */
async function keepIds(made: SchoolClass): Promise<void> {
  if (!chosen.value) return;
  const body = { ...list.reading.value, of: of.value, gone: "stay" as const };
  const { doubts } = await previewRoster(made.id, { ...body, same: [] });
  const same = doubts.flatMap(({ at, name, children }) =>
    children.filter((child) => child.name === name).map((child) => ({ at, child_id: child.id })),
  );
  const change = await previewRoster(made.id, { ...body, same });
  if (change.added.length || change.renamed.length || change.same !== made.children.length) return;
  classes.renew(await importRoster(made.id, { ...body, same }));
}

const make = (): Promise<boolean> =>
  run(async () => {
    const children = await shown();
    if (!children) return;
    const made = await classes.make({
      name: form.value.name.trim(),
      school: form.value.school.trim(),
      children,
    });
    // The class is there: without ids the next list asks who is who, and a second press would make it twice.
    await keepIds(made).catch(() => undefined);
    form.value = { name: "", school: "", names: "" };
    await router.push({ name: "new-check" });
  });
</script>

<template>
  <form class="page narrow" novalidate @submit.prevent="make">
    <h1>New class</h1>
    <p class="quiet">
      First names or aliases only. Your school's own rules on children's data come first. Ask before you use
      real names.
    </p>
    <FieldGroup id="name" v-slot="{ state }" label="Class name" :wrong="wrong('name')">
      <BFormInput id="name" v-model="form.name" :state="state" :maxlength="LIMITS.ClassName" />
    </FieldGroup>
    <FieldGroup id="school" v-slot="{ state }" label="School (optional)" :wrong="wrong('school')">
      <BFormInput id="school" v-model="form.school" :state="state" :maxlength="LIMITS.SchoolName" />
    </FieldGroup>
    <FieldGroup
      id="names"
      v-slot="{ state }"
      label="Children, one on each line"
      :wrong="errorMessage || wrong('children')"
    >
      <BFormTextarea id="names" v-model="form.names" :state="state" rows="10" />
    </FieldGroup>
    <NamesShown v-if="read" id="names" v-model:commas="commas" :read="read" class="field" />
    <FileField
      id="list"
      v-model="file"
      label="Or from a file (list, CSV or OneRoster)"
      :accept="LISTS"
      :wrong="list.mutation.wrong('file')"
      @chosen="list.choseFile"
    />
    <FieldGroup v-if="several" id="which" label="Which class in the file">
      <BFormSelect id="which" v-model="of" :options="options" @update:model-value="put" />
    </FieldGroup>
    <RosterTable
      v-if="chosen?.table"
      :table="chosen.table"
      :names="chosen.children"
      @say="list.sayColumns"
      @strike="list.strike"
    />
    <CommasMean
      v-if="chosen?.commas"
      id="list-commas"
      :meant="chosen.commas"
      class="mb-3"
      @say="list.sayCommas"
    />
    <LeftOutLines v-if="chosen" :lines="chosen.left_out" class="mb-3" />
    <p v-if="elsewhere('name', 'school', 'children')" class="field-error" role="alert">
      {{ elsewhere("name", "school", "children") }}
    </p>
    <BButton type="submit" variant="primary" :disabled="busy">Add class</BButton>
  </form>
</template>

<style scoped>
.narrow {
  max-width: 40rem;
}

.field {
  margin: 1.25rem 0;
}

label {
  margin-bottom: 0.35rem;
}
</style>
