<script setup lang="ts">
import { computed, ref, shallowRef } from "vue";
import { previewRoster, importRoster, type Roster, type RosterChange, type SchoolClass } from "@/api";
import { FieldGroup, FileField } from "@/ui";
import ChildFile from "./ChildFile.vue";
import CommasMean from "./CommasMean.vue";
import LeftOutLines from "./LeftOutLines.vue";
import RosterChanges from "./RosterChanges.vue";
import RosterDoubts from "./RosterDoubts.vue";
import RosterLists from "./RosterLists.vue";
import RosterTable from "./RosterTable.vue";
import { LISTS, NAMES, pairs } from "./sameChildren";
import { useListFile } from "./useListFile";

/** A list of children from another program: shown first, then taken whole or not at all. */
const props = defineProps<{ schoolClass: SchoolClass }>();
const emit = defineEmits<{ taken: [schoolClass: SchoolClass] }>();

const {
  file,
  names,
  of,
  listed,
  options,
  several,
  chosen,
  reading,
  mutation: list,
  look,
  choseFile,
  sayCommas,
  sayColumns,
  strike,
  clear,
} = useListFile(begin);
const { busy, wrong, elsewhere, run } = list;
const gone = ref<Roster["gone"]>("stay");
const change = shallowRef<RosterChange | null>(null);
const message = ref("");
/** What the teacher said of who is who, by place on the list: a child of the class, or nobody of it. */
const same = ref<Record<number, number | null>>({});
const body = computed(() => ({
  ...reading.value,
  of: of.value,
  gone: gone.value,
  same: pairs(same.value),
}));
const nothing = computed(
  () =>
    change.value &&
    !change.value.added.length &&
    !change.value.renamed.length &&
    !change.value.back.length &&
    (gone.value === "stay" || !change.value.gone.length),
);

/** How many lists were taken on this page. */
const taken = ref(0);
/** What would become of the class with the list as it is read now. */
async function begin(): Promise<void> {
  message.value = "";
  change.value = null;
  same.value = {};
  if (listed.value.length) await preview();
}

async function preview(): Promise<void> {
  change.value = several.value && !of.value ? null : await previewRoster(props.schoolClass.id, body.value);
}

/** Another class of the file has other children in the same places. */
function choose(): void {
  same.value = {};
  void run(preview);
}

async function take(): Promise<void> {
  const done = await run(async () => emit("taken", await importRoster(props.schoolClass.id, body.value)));
  if (!done) return;
  taken.value += 1;
  file.value = null;
  change.value = null;
  same.value = {};
  clear();
  message.value = "List added.";
}
</script>

<template>
  <BCard>
    <h2 class="mt-0">A list from another program</h2>
    <p class="quiet">
      A OneRoster bundle, a table (CSV), or one name on each line. You see it before anything is added.
    </p>
    <form novalidate @submit.prevent="take">
      <FileField
        id="roster"
        v-model="file"
        label="File"
        :accept="LISTS"
        :wrong="wrong('file')"
        @chosen="choseFile"
      />
      <FieldGroup v-if="several" id="roster-of" v-slot="{ state }" label="Class" :wrong="wrong('of')">
        <BFormSelect
          id="roster-of"
          v-model="of"
          :options="options"
          :state="state"
          @update:model-value="choose"
        />
      </FieldGroup>
      <template v-if="listed.length">
        <FieldGroup id="roster-names" label="How to store names" :wrong="wrong('names')">
          <BFormSelect id="roster-names" v-model="names" :options="NAMES" @update:model-value="look" />
        </FieldGroup>
        <RosterTable
          v-if="listed[0]?.table"
          :table="listed[0].table"
          :names="listed[0].children"
          @say="sayColumns"
          @strike="strike"
        />
        <CommasMean
          v-if="listed[0]?.commas"
          id="roster-commas"
          :meant="listed[0].commas"
          class="mb-3"
          @say="sayCommas"
        />
      </template>
      <RosterDoubts v-if="change" v-model="same" :doubts="change.doubts" @update:model-value="run(preview)" />
      <LeftOutLines v-if="chosen" :lines="chosen.left_out" class="mb-3" />
      <div v-if="change" role="status">
        <RosterChanges :change="change" />
        <BFormCheckbox
          v-if="change.gone.length"
          v-model="gone"
          value="left"
          unchecked-value="stay"
          class="mb-3"
          @update:model-value="run(preview)"
        >
          Mark children not on the list as left
        </BFormCheckbox>
        <BButton type="submit" variant="primary" :disabled="busy || nothing === true">
          {{ nothing ? "Nothing to change" : "Add list" }}
        </BButton>
      </div>
      <p v-if="elsewhere('file', 'of', 'names')" class="field-error" role="alert">
        {{ elsewhere("file", "of", "names") }}
      </p>
      <RosterLists
        :key="taken"
        :class-id="schoolClass.id"
        @returned="(back: SchoolClass) => ((message = ''), emit('taken', back))"
      />
      <p v-if="message" class="quiet m-0" role="status">{{ message }}</p>
    </form>
    <ChildFile :class-id="schoolClass.id" @taken="(found: SchoolClass) => emit('taken', found)" />
    <h2 class="mt-4">For other programs</h2>
    <div class="d-flex flex-wrap gap-2">
      <BButton variant="outline-primary" :href="`/api/classes/${schoolClass.id}/oneroster.zip`" download>
        OneRoster
      </BButton>
      <BButton variant="outline-primary" :href="`/api/classes/${schoolClass.id}/answers.csv`" download>
        Answers, CSV
      </BButton>
      <BButton variant="outline-primary" :href="`/api/classes/${schoolClass.id}/answers.jsonl`" download>
        JSON Lines
      </BButton>
    </div>
  </BCard>
</template>

<style scoped>
h2 {
  margin-bottom: 0.6rem;
}
</style>
