import type { Jobs } from "@/api";
import { isoDay, today } from "@/words";

type Job = Jobs["open"][number];

/** How far an erasure is: "Erased: looked in 22 places, nothing left." */
export function erasureWords(job: Job): string {
  if (job.state === "done") return `Erased. We looked in ${job.places ?? 0} places: nothing is left.`;
  if (job.trouble) return `Erased here, but not in all copies yet. ${job.trouble}`;
  return job.of ? `Erasing from copies: ${job.done} of ${job.of}…` : "Erased here. Copies are next…";
}

/** What was done today is said yet. */
export const sinceToday = (job: Job): boolean => isoDay(new Date(job.changed_at)) === today();
