import { useRouter } from "vue-router";
import { newSeed, planLesson, type Tomorrow } from "@/api";
import { today } from "@/words";

type Next = NonNullable<Tomorrow["next"]>;

/** Opens the lesson that comes next, or gives it at once; where it is not made yet, it is made as it was planned. */
export function useNextLesson(): (classId: number, next: Next, at: "lesson" | "run") => Promise<void> {
  const router = useRouter();
  return async (classId, { lesson_id, day, step, minutes, how }, at) => {
    // What is given now and was only proposed is a lesson of today.
    const on = how === "proposed" && at === "run" ? today() : day;
    const id = lesson_id ?? (await planLesson(classId, { day: on, step, minutes, seed: newSeed() })).id;
    await router.push({ name: at, params: { id } });
  };
}
