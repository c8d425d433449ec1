import { useRouter } from "vue-router";
import { newSeed, planLesson, type TermLesson } from "@/api";

/** Opens a lesson of the term; where it is not made yet, it is made as it was planned. */
export function useOpenLesson(): (classId: number, lesson: TermLesson) => Promise<void> {
  const router = useRouter();
  return async (classId, { day, step, minutes, lesson_id }) => {
    if (!step) return;
    const id = lesson_id ?? (await planLesson(classId, { day, step, minutes, seed: newSeed() })).id;
    await router.push({ name: "lesson", params: { id } });
  };
}
