import { listChecks, readFindings, together } from "@/api";

/** What Home tells of a class: its last check, and what the last one with answers says. */
export const readNews = together("news", async (classId: number) => {
  const [{ checks }, answered] = await Promise.all([
    listChecks(classId, { limit: 1 }),
    listChecks(classId, { limit: 1, answered: true }),
  ]);
  const last = answered.checks[0];
  return { checks, last, findings: last ? await readFindings(last.id) : null };
});
