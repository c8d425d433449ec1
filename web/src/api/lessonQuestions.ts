import {
  api,
  asked,
  type Behind,
  type BoardsAdvice,
  type BoardsAwaited,
  type BoardsShown,
  type Ladder,
  type Lesson,
  type LessonPlan,
  type LessonSummary,
  type Removed,
  type Tomorrow,
} from "./client";

export function readLadder(classId: number): Promise<Ladder> {
  return asked(api.GET("/api/classes/{class_id}/ladder", { params: { path: { class_id: classId } } }));
}

export async function listLessons(
  classId: number,
  query: { step?: string; month?: string } = {},
): Promise<LessonSummary[]> {
  const params = { path: { class_id: classId }, query };
  return (await asked(api.GET("/api/classes/{class_id}/lessons", { params }))).lessons;
}

/** One clock that a whole class is asked on boards. */
export interface BoardsAsked {
  task: string;
  time: string;
}

export type Amount = "none" | "few" | "some" | "most" | "all";

/** Which answers to wait for when all hold up their boards. */
export function awaitBoards(classId: number, query: BoardsAsked): Promise<BoardsAwaited> {
  const params = { path: { class_id: classId }, query };
  return asked(api.GET("/api/classes/{class_id}/boards", { params }));
}

/** How many showed which answer, and what to do then. */
export function keepBoards(
  classId: number,
  body: BoardsAsked & { lesson_id: number | null; amounts: { answer: string; amount: Amount }[] },
): Promise<BoardsAdvice> {
  return asked(api.POST("/api/classes/{class_id}/boards", { params: { path: { class_id: classId } }, body }));
}

/** What the class showed in a lesson. */
export async function readBoards(lessonId: number): Promise<BoardsShown[]> {
  const params = { path: { lesson_id: lessonId } };
  return (await asked(api.GET("/api/lessons/{lesson_id}/boards", { params }))).boards;
}

export function planLesson(
  classId: number,
  body: { day: string; step: string; minutes: number; seed: number; child_ids?: number[] | null },
): Promise<Lesson> {
  return asked(
    api.POST("/api/classes/{class_id}/lessons", { params: { path: { class_id: classId } }, body }),
  );
}

export function readLesson(id: number): Promise<Lesson> {
  return asked(api.GET("/api/lessons/{lesson_id}", { params: { path: { lesson_id: id } } }));
}

export function changeLesson(id: number, body: LessonPlan): Promise<Lesson> {
  return asked(api.PUT("/api/lessons/{lesson_id}", { params: { path: { lesson_id: id } }, body }));
}

export function removeLesson(id: number): Promise<Removed> {
  return asked(api.DELETE("/api/lessons/{lesson_id}", { params: { path: { lesson_id: id } } }));
}

export function copyLesson(id: number, body: { day: string; seed: number }): Promise<Lesson> {
  return asked(api.POST("/api/lessons/{lesson_id}/copies", { params: { path: { lesson_id: id } }, body }));
}

/** A lesson was given: what was left out of it, and how long things took. */
export function endLesson(
  id: number,
  leftOut: string[],
  seconds: { kind: string; seconds: number }[],
): Promise<Lesson> {
  const params = { path: { lesson_id: id } };
  return asked(
    api.POST("/api/lessons/{lesson_id}/runs", {
      params,
      body: { left_out: leftOut, seconds: seconds.slice(-200) },
    }),
  );
}

export async function openExit(id: number): Promise<number> {
  const params = { path: { lesson_id: id } };
  return (await asked(api.POST("/api/lessons/{lesson_id}/check", { params }))).check_id;
}

/** Puts together what is printed for one lesson, and says which stack it is. */
export async function makeLessonStack(id: number): Promise<number> {
  const params = { path: { lesson_id: id } };
  return (await asked(api.POST("/api/lessons/{lesson_id}/stack", { params }))).stack_id;
}

/** The lesson that comes next, its groups, and what is put together to be printed. */
export function readTomorrow(classId: number): Promise<Tomorrow> {
  return asked(api.GET("/api/classes/{class_id}/tomorrow", { params: { path: { class_id: classId } } }));
}

/** Puts together what is printed for it. */
export function makeStack(classId: number, seed: number): Promise<Tomorrow> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/stacks", { params, body: { seed } }));
}

/** The answers behind a step that is proposed for children, or for the class where none are named. */
export function readBehind(classId: number, step: string, childIds: number[]): Promise<Behind> {
  const query = { step, ...(childIds.length ? { child_ids: childIds } : {}) };
  const params = { path: { class_id: classId }, query };
  return asked(api.GET("/api/classes/{class_id}/behind", { params }));
}

/** What a teacher says of them: they know it, not yet, or nothing more. */
export function saySo(
  classId: number,
  step: string,
  childIds: number[],
  known: boolean | null,
): Promise<Behind> {
  const params = { path: { class_id: classId } };
  return asked(
    api.POST("/api/classes/{class_id}/said", { params, body: { step, child_ids: childIds, known } }),
  );
}

/** Who of a class was away on a day, as the teacher says. */
export function readAway(classId: number, day: string): Promise<{ day: string; child_ids: number[] }> {
  const params = { path: { class_id: classId }, query: { day } };
  return asked(api.GET("/api/classes/{class_id}/away", { params }));
}

/** Says that a child was away on a day, or that it was there. */
export function setAway(
  classId: number,
  day: string,
  childId: number,
  away: boolean,
): Promise<{ day: string; child_ids: number[] }> {
  const params = { path: { class_id: classId } };
  return asked(api.PUT("/api/classes/{class_id}/away", { params, body: { day, child_id: childId, away } }));
}
