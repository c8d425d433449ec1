<script setup lang="ts">
import { computed, ref, shallowRef } from "vue";
import {
  fileSent,
  listSchoolRosters,
  previewSchoolRoster,
  returnSchoolRoster,
  importSchoolRoster,
  useApiQuery,
  useApiMutation,
  type SchoolRoster,
  type SchoolRosterChange,
  type SchoolRosterSent,
} from "@/api";
import { FieldGroup, FileField, SureButton } from "@/ui";
import { useClasses } from "@/school";
import { clock, counted, countedChildren, moment } from "@/words";
import { firstOfEach, LISTS, NAMES, pairs } from "./sameChildren";
import SchoolListClass from "./SchoolListClass.vue";

/** One list of all classes of the school: class by class what would change, then taken whole or not at all. */
type Said = NonNullable<SchoolRosterSent["classes"]>[number];
const classes = useClasses();
const { data: lists, errorMessage } = useApiQuery(listSchoolRosters, () => []);
const last = computed(() => lists.value?.lists.find((list) => list.last));
const file = ref<File | null>(null);
const names = ref<SchoolRosterSent["names"]>("first");
const gone = ref<SchoolRosterSent["gone"]>("stay");
/** The file as it was sent, or the name of one in the watched folder. */
const source = shallowRef<{ file: string } | { from: string } | null>(null);
const change = shallowRef<SchoolRosterChange | null>(null);
const said = ref<Record<string, Said>>({});
/** A class that is left out stays in sight, so that it can be taken after all. */
const leftOut = shallowRef<SchoolRoster[]>([]);
const message = ref("");
const { busy, wrong, elsewhere, run } = useApiMutation();

const body = computed<SchoolRosterSent>(() => ({
  ...source.value,
  names: names.value,
  gone: gone.value,
  classes: Object.values(said.value),
}));
const some = computed(() => change.value?.classes.some((listed) => listed.gone.length) ?? false);

const look = (): Promise<boolean> =>
  run(async () => {
    message.value = "";
    change.value = source.value && (await previewSchoolRoster(body.value));
  });

/** What was said of one list is not said of the next. */
function forget(): void {
  said.value = {};
  leftOut.value = [];
  change.value = null;
  source.value = null;
}

async function choose(): Promise<void> {
  const chosen = file.value;
  forget();
  if (!chosen) return;
  const sent = await run(async () => (source.value = { file: await fileSent(chosen) }));
  if (sent) await look();
}

function offered(name: string): void {
  file.value = null;
  forget();
  source.value = { from: name };
  void look();
}

function say(listed: SchoolRoster, more: Partial<Said>): void {
  said.value = { ...said.value, [listed.id]: { ...said.value[listed.id], of: listed.id, ...more } };
  if (more.left_out) leftOut.value = [...leftOut.value, listed];
  if (more.left_out === false) leftOut.value = leftOut.value.filter((other) => other.id !== listed.id);
  void look();
}

/** In every class each with the child that fits best. */
function allSame(): void {
  for (const listed of change.value?.classes ?? [])
    said.value[listed.id] = {
      ...said.value[listed.id],
      of: listed.id,
      same: pairs(firstOfEach(listed.doubts)),
    };
  void look();
}

const take = (): Promise<boolean> =>
  run(async () => {
    await importSchoolRoster(body.value);
    forget();
    file.value = null;
    message.value = "List added.";
    await classes.load();
  });

const back = (id: number): Promise<boolean> =>
  run(async () => {
    await returnSchoolRoster(id);
    message.value = "List undone.";
    await classes.load();
  });
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>List of all classes</h1>
      <div class="actions">
        <BButton variant="outline-primary" :to="{ name: 'school' }">The school</BButton>
      </div>
    </div>
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <form v-else-if="lists" novalidate class="d-grid gap-3" @submit.prevent="take">
      <p class="quiet m-0 measure">
        A OneRoster bundle of the school, or a table with columns for class and first name. You see every
        change before anything is added.
      </p>
      <div class="d-flex flex-wrap gap-4 align-items-start">
        <FileField
          id="school-list"
          v-model="file"
          label="File"
          :accept="LISTS"
          :wrong="wrong('file')"
          @chosen="choose"
        />
        <FieldGroup id="school-names" label="How to store names" :wrong="wrong('names')">
          <BFormSelect id="school-names" v-model="names" :options="NAMES" @update:model-value="look" />
        </FieldGroup>
      </div>
      <section v-if="lists.files.length" aria-labelledby="watched-head">
        <h2 id="watched-head" class="eyebrow">From the watched folder</h2>
        <ul class="list-unstyled m-0">
          <li v-for="ready in lists.files" :key="ready.name" class="d-flex align-items-center gap-2">
            {{ ready.name }}
            <span class="quiet">{{ moment(ready.at) }}, {{ clock(ready.at) }}</span>
            <BButton variant="outline-primary" size="sm" :disabled="busy" @click="offered(ready.name)">
              Show changes
            </BButton>
          </li>
        </ul>
      </section>
      <p v-if="last" class="m-0">
        <span class="quiet">
          List added {{ moment(last.taken_at) }}: {{ counted(last.classes, "class", "classes") }},
          {{ countedChildren(last.moved) }} moved. You can undo it for thirty days.
        </span>
        <SureButton
          variant="link"
          title="Undo the list of all classes?"
          does="Undo list"
          :busy="busy"
          :act="() => back(last!.id)"
        >
          <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
          Undo list…
          <template #says>
            Every class is as before. New children without answers go; those with answers leave and can be
            restored.
          </template>
        </SureButton>
      </p>
      <p v-if="message" class="quiet m-0" role="status">{{ message }}</p>
      <p v-if="elsewhere('file', 'names')" class="field-error m-0" role="alert">
        {{ elsewhere("file", "names") }}
      </p>
      <template v-if="change">
        <BFormCheckbox
          v-if="some"
          v-model="gone"
          value="left"
          unchecked-value="stay"
          @update:model-value="look"
        >
          Mark children not on the list as left
        </BFormCheckbox>
        <p v-if="change.classes.some((listed) => listed.doubts.length)" class="m-0">
          <BButton variant="outline-primary" :disabled="busy" @click="allSame">
            All children of these names are the same
          </BButton>
        </p>
        <div class="classes d-grid gap-3">
          <SchoolListClass
            v-for="listed in change.classes"
            :key="listed.id"
            :listed="listed"
            :here="change.here"
            :accounts="change.accounts"
            :same="said[listed.id]?.same ?? []"
            @say="(more) => say(listed, more)"
          />
        </div>
        <ul v-if="leftOut.length" class="list-unstyled m-0">
          <li v-for="listed in leftOut" :key="listed.id">
            <span class="quiet">{{ listed.title }} is left out.</span>
            <BButton variant="link" size="sm" @click="say(listed, { left_out: false })">Take it too</BButton>
          </li>
        </ul>
        <p v-if="change.untouched.length" class="quiet m-0">
          Not on the list, and unchanged:
          {{ change.untouched.map((schoolClass) => schoolClass.name).join(", ") }}.
        </p>
        <div>
          <BButton type="submit" variant="primary" :disabled="busy || !change.classes.length">
            Add list to {{ counted(change.classes.length, "class", "classes") }}
          </BButton>
        </div>
      </template>
      <p v-else-if="busy" class="quiet m-0" aria-live="polite">Reading the list…</p>
    </form>
  </div>
</template>

<style scoped>
.classes {
  grid-template-columns: repeat(auto-fill, minmax(min(22rem, 100%), 1fr));
  align-items: start;
}
</style>
