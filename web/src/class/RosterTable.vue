<script setup lang="ts">
import { computed } from "vue";
import type { ColumnsSaid, ListedClass } from "@/api";

/** The table as it came: which columns are kept, which rows are left out, and what is kept of each row. */
const props = defineProps<{ table: NonNullable<ListedClass["table"]>; names: readonly string[] }>();
/** What a teacher says: the columns, and the lines struck out. */
const emit = defineEmits<{ say: [columns: ColumnsSaid]; strike: [line: number] }>();

type Kind = keyof ColumnsSaid;
const KINDS: { value: Kind | ""; text: string }[] = [
  { value: "", text: "Not used" },
  { value: "given", text: "First name" },
  { value: "family", text: "Family name" },
  { value: "id", text: "ID" },
];
const kept = computed(() => props.table.rows.filter((row) => row.child !== null).length);
const STRUCK = "struck out";

/** A kind stands over one column alone. */
function choose(at: number, kind: Kind | ""): void {
  const said: ColumnsSaid = { given: null, family: null, id: null };
  props.table.columns.forEach((column, place) => {
    if (column.is && place !== at && column.is !== kind) said[column.is] = place;
  });
  if (kind) said[kind] = at;
  emit("say", said);
}
</script>

<template>
  <div class="mb-3">
    <p class="mb-2">
      <strong>This is your table.</strong>
      Choose what each column is. Click a name to leave it out.
    </p>
    <div class="scroll border rounded-07">
      <BTableSimple small class="m-0 align-middle">
        <BThead>
          <BTr>
            <BTh class="kept">Child</BTh>
            <BTh v-for="(column, at) in table.columns" :key="at">
              <BFormSelect
                size="sm"
                :model-value="column.is ?? ''"
                :options="KINDS"
                :aria-label="`What column ${at + 1} is${column.name ? `: ${column.name}` : ''}`"
                @update:model-value="choose(at, $event as Kind | '')"
              />
            </BTh>
          </BTr>
        </BThead>
        <BTbody>
          <BTr v-for="row in table.rows" :key="row.line" :class="{ out: row.why }">
            <BTd class="kept">
              <BButton
                v-if="row.child !== null || row.why === STRUCK"
                variant="link"
                class="p-0 text-start"
                :aria-label="
                  row.why
                    ? `Line ${row.line}: left out, take it`
                    : `Line ${row.line}: leave out ${names[row.child ?? 0]}`
                "
                @click="emit('strike', row.line)"
              >
                {{ row.child === null ? "left out" : names[row.child] }}
              </BButton>
              <span v-else class="quiet">{{ row.why }}</span>
            </BTd>
            <BTd
              v-for="(column, at) in table.columns"
              :key="at"
              :class="{ 'fw-bold': column.is && !row.why }"
            >
              {{ row.cells[at] }}
            </BTd>
          </BTr>
        </BTbody>
      </BTableSimple>
    </div>
    <p class="quiet mt-2 mb-0" role="status">{{ kept }} of {{ table.rows.length }} rows are children.</p>
  </div>
</template>

<style scoped lang="scss">
.scroll {
  max-height: 22rem;
  overflow: auto;
}

thead th {
  position: sticky;
  top: 0;
  min-width: 8rem;
  background: var(--v-card);
}

.kept {
  position: sticky;
  left: 0;
  background: var(--v-hour-tint);
}

thead .kept {
  z-index: 1;
}

.out td:not(.kept) {
  color: var(--v-quiet);
  text-decoration: line-through;
}
</style>
