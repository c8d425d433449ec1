import { watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import { useClasses } from "./classes";

/** A page about something of one class works with that class, whichever was chosen before: the bar and the address say so. */
export function useOwnClass(classId: () => number | null | undefined): void {
  const route = useRoute();
  const router = useRouter();
  const classes = useClasses();
  watch(
    classId,
    (id) => {
      if (!id || id === classes.current?.id || !classes.all.some((schoolClass) => schoolClass.id === id))
        return;
      void router.replace({ query: { ...route.query, class: String(id) } });
    },
    { immediate: true },
  );
}
