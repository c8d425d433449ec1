import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from "vue";
import {
  fileSent,
  readRoster,
  useApiMutation,
  type ColumnsSaid,
  type Commas,
  type ListedClass,
  type NamesTaken,
} from "@/api";
import { countedChildren } from "@/words";

export interface ListFile {
  file: Ref<File | null>;
  names: Ref<NamesTaken>;
  /** Which class of the file, by its id, where there are several. */
  of: Ref<string | null>;
  listed: ShallowRef<ListedClass[]>;
  several: ComputedRef<boolean>;
  /** Its classes to choose from: with what tells them apart. */
  options: ComputedRef<{ value: string | null; text: string }[]>;
  /** The class that is meant. */
  chosen: ComputedRef<ListedClass | undefined>;
  /** All that is sent with the file, so that it is read the same each time. */
  reading: ComputedRef<{
    file: string;
    names: NamesTaken;
    commas: Commas;
    columns: ColumnsSaid | null;
    skipped: number[];
  }>;
  mutation: ReturnType<typeof useApiMutation>;
  look: () => Promise<void>;
  choseFile: () => void;
  sayCommas: (said: Commas) => void;
  sayColumns: (said: ColumnsSaid) => void;
  strike: (line: number) => void;
  clear: () => void;
}

/** A list of children in a file: read anew whenever a teacher says more of it. `seen` comes after each reading. */
export function useListFile(seen: () => void | Promise<void>): ListFile {
  const file = ref<File | null>(null);
  const sent = ref("");
  const names = ref<NamesTaken>("first");
  const of = ref<string | null>(null);
  const commas = ref<Commas>(null);
  const columns = ref<ColumnsSaid | null>(null);
  const skipped = ref<number[]>([]);
  const listed = shallowRef<ListedClass[]>([]);
  const mutation = useApiMutation();
  const several = computed(() => listed.value.length > 1);
  const chosen = computed(() =>
    several.value ? listed.value.find((schoolClass) => schoolClass.id === of.value) : listed.value[0],
  );
  const options = computed(() => [
    { value: null, text: "Choose a class…" },
    ...listed.value.map((schoolClass) => ({
      value: schoolClass.id,
      text: [schoolClass.title, schoolClass.about, countedChildren(schoolClass.children.length)]
        .filter(Boolean)
        .join(", "),
    })),
  ]);
  const reading = computed(() => ({
    file: sent.value,
    names: names.value,
    commas: commas.value,
    columns: columns.value,
    skipped: skipped.value,
  }));

  function clear(): void {
    listed.value = [];
    of.value = null;
  }

  async function look(): Promise<void> {
    const now = file.value;
    if (!now) {
      clear();
      await seen();
      return;
    }
    await mutation.run(async () => {
      sent.value = await fileSent(now);
      listed.value = (await readRoster(reading.value)).classes;
      if (!listed.value.some((schoolClass) => schoolClass.id === of.value)) of.value = null;
      await seen();
    });
  }

  /** Another file is another list. */
  function choseFile(): void {
    commas.value = null;
    columns.value = null;
    skipped.value = [];
    clear();
    void look();
  }
  function sayCommas(said: Commas): void {
    commas.value = said;
    void look();
  }
  function sayColumns(said: ColumnsSaid): void {
    columns.value = said;
    void look();
  }
  function strike(line: number): void {
    const struck = skipped.value.includes(line);
    skipped.value = struck ? skipped.value.filter((number) => number !== line) : [...skipped.value, line];
    void look();
  }
  return {
    file,
    names,
    of,
    listed,
    several,
    options,
    chosen,
    reading,
    mutation,
    look,
    choseFile,
    sayCommas,
    sayColumns,
    strike,
    clear,
  };
}
