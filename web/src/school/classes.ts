import { useLocalStorage } from "@vueuse/core";
import { defineStore } from "pinia";
import { computed, ref } from "vue";
import { listClasses, makeClass, type OwnClass, type SchoolClass } from "@/api";

/** The classes, and the one this tab works with; a new tab begins with the last one chosen. */
export const useClasses = defineStore("classes", () => {
  const all = ref<OwnClass[]>([]);
  const last = useLocalStorage<number>("vantick.class", 0);
  const chosen = ref(last.value);
  const current = computed(
    () => all.value.find((schoolClass) => schoolClass.id === chosen.value) ?? all.value[0] ?? null,
  );

  async function load(): Promise<void> {
    take((await listClasses()).classes);
  }

  function take(classes: OwnClass[]): void {
    all.value = classes;
  }

  function choose(id: number): void {
    chosen.value = id;
    last.value = id;
  }

  /** Makes a class and goes on with it. */
  async function make(body: { name: string; school: string; children: string[] }): Promise<SchoolClass> {
    const made = await makeClass(body);
    all.value = [{ ...made, of: null, right: "owning", until: null }, ...all.value];
    choose(made.id);
    return made;
  }

  /** Puts a class in the place of what was known of it. */
  function renew(changed: SchoolClass): void {
    all.value = all.value.map((schoolClass) =>
      schoolClass.id === changed.id ? { ...schoolClass, ...changed } : schoolClass,
    );
  }

  /** Those that a teacher works with; the others were put away. */
  const open = computed(() => all.value.filter((schoolClass) => !schoolClass.archived));

  return { all, open, current, load, take, choose, make, renew };
});
