import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
type JsonOf<T extends { responses: { 200: { content: { "application/json": unknown } } } }> =
  T["responses"][200]["content"]["application/json"];
type SentTo<T extends { requestBody: { content: { "application/json": unknown } } }> =
  T["requestBody"]["content"]["application/json"];
export type DialFacts = Schemas["DialFacts"];
export type Catalogue = Schemas["Catalogue"];
export type MisreadingTexts = Catalogue["misreadings"][number];
export type SchoolClass = Schemas["SchoolClass"];
export type Child = Schemas["Child"];
export type School = JsonOf<paths["/api/school"]["get"]>;
export type Account = components["schemas"]["Account"];
/** A class with what the teacher may do in it. */
export type OwnClass = components["schemas"]["ClassOfTeacher"];
export type RosterChange = JsonOf<paths["/api/classes/{class_id}/roster-previews"]["post"]>;
export type Jobs = Schemas["Jobs"];
export type JournalLine = School["journal"][number];
export type ListedClass = JsonOf<paths["/api/roster-readings"]["post"]>["classes"][number];
export type NamesRead = JsonOf<paths["/api/name-readings"]["post"]>;
export type Tomorrow = JsonOf<paths["/api/classes/{class_id}/tomorrow"]["get"]>;
export type FirstDay = Schemas["FirstDay"];
export type Commas = Schemas["Commas"];
export type ColumnsSaid = NonNullable<Schemas["ColumnsSaid"]>;
export type PackageFound = JsonOf<paths["/api/classes/{class_id}/package-previews"]["post"]>;
export type RetentionHow = SentTo<paths["/api/school/retention/runs"]["post"]>["how"];
export type GroupCount = Schemas["GroupCount"];
export type SchoolRosterChange = JsonOf<paths["/api/school/roster-previews"]["post"]>;
export type SchoolRoster = SchoolRosterChange["classes"][number];
export type SchoolRosterSent = SentTo<paths["/api/school/rosters"]["post"]>;
export type Support = JsonOf<paths["/api/classes/{class_id}/children/{child_id}/support"]["get"]>;
export type KnownThen = Schemas["KnownThen"];
export type CalendarAddress = JsonOf<paths["/api/classes/{class_id}/calendar-address"]["get"]>;
export type TokenScope = Schemas["TokenScope"];
export type ChildFileFound = JsonOf<paths["/api/classes/{class_id}/child-file-previews"]["post"]>;
export type AnswersFound = JsonOf<paths["/api/checks/{check_id}/import-previews"]["post"]>;
export type Found = components["schemas"]["Found"];
export type Removed = components["schemas"]["Removed"];
export type Register = JsonOf<paths["/api/classes/{class_id}/register"]["get"]>;
export type Choice = Schemas["Choice"];
export type CheckSummary = Schemas["CheckSummary"];
export type Check = Schemas["Check"];
export type Item = Check["items"][number];
export type Answer = Schemas["Answer"];
export type Findings = Schemas["Findings"];
export type Light = Schemas["Light"];
export type DayEvent = Schemas["DayEvent"];
export type DayFacts = Schemas["DayFacts"];
export type Drawing = JsonOf<paths["/api/drawing"]["get"]>;
export type SheetSettings = Schemas["SheetSettings"];
export type PaperNeeded = Schemas["PaperNeeded"];
export type SheetPreview = JsonOf<paths["/api/classes/{class_id}/sheet-previews"]["post"]>;
export type Adjustments = Schemas["Adjustments"];
export type BoardsAdvice = Schemas["BoardsAdvice"];
export type Group = components["schemas"]["Group"];
export type Groups = JsonOf<paths["/api/classes/{class_id}/groups"]["get"]>;
export type Week = JsonOf<paths["/api/classes/{class_id}/history"]["get"]>["weeks"][number];
export type Ladder = Schemas["Ladder"];
export type LadderStep = Ladder["steps"][number];
export type Lesson = Schemas["Lesson"];
export type LessonStage = Schemas["LessonStage"];
export type LessonItem = Schemas["LessonItem"];
export type LessonPlan = Schemas["LessonPlan"];
export type LessonSummary = Schemas["LessonSummary"];
export type Desk = Schemas["Desk"];
export type LiveDesk = Schemas["LiveDesk"];
export type LiveChild = LiveDesk["children"][number];
export type DeskState = Schemas["DeskState"];
export type DeskTurn = Schemas["DeskTurn"];
export type AnswerFeedback = Schemas["AnswerFeedback"];
export type GivenAnswer = { id: string; item_id: number; answer: string };
export type DeskForm = SentTo<paths["/api/classes/{class_id}/desks"]["post"]>;
export type BoardsSent = SentTo<paths["/api/classes/{class_id}/boards"]["post"]>;
export type Amount = BoardsSent["amounts"][number]["amount"];
/** A list of children as it is sent: the file in base64, and how much of the names is kept. */
export type Roster = SentTo<paths["/api/classes/{class_id}/rosters"]["post"]>;
export type NamesTaken = Roster["names"];
export type Session = JsonOf<paths["/api/session"]["get"]>;
export type ProblemDetails = Schemas["Problem"];

/** The server's API, typed by its contract. It takes JSON alone, also where there is nothing to say. */
export const api = createClient<paths>({ baseUrl: "", headers: { "content-type": "application/json" } });

/** Told when a teacher's page is answered that nobody is signed in any more. */
export function onSignedOut(tell: () => void): void {
  api.use({
    onResponse({ request, response }) {
      if (response.status === 401 && !new URL(request.url).pathname.startsWith("/api/session")) tell();
    },
  });
}

/** What Vantick itself says of something that it can never take, however often it is sent. */
const FINAL: ReadonlySet<number> = new Set([400, 404, 405, 409, 413, 415, 422]);

/** What the server refused, with the field it belongs to, or that it could not be reached at all. */
export class Refused extends Error {
  constructor(
    readonly field: string | null,
    message: string,
    readonly status: number,
    /** Whether it was Vantick that refused, and not a filter or a proxy on the way. */
    readonly ours = false,
    /** A number near the one refused that can be taken. */
    readonly nearest: number | null = null,
  ) {
    super(message);
  }

  /** Whether trying the same again can help: later, on another network, or signed in again. */
  get passing(): boolean {
    return !(this.ours && FINAL.has(this.status));
  }
}

interface Answered<T> {
  data?: T;
  error?: ProblemDetails;
  response: Response;
}

/** The data of a response, or a Refused that says what to do. */
export async function asked<T>(request: Promise<Answered<T>>): Promise<T> {
  let response: Answered<T>;
  try {
    response = await request;
  } catch {
    throw new Refused(null, "Can't reach Vantick. Is it still running? Nothing you typed is lost.", 0);
  }
  if (response.response.ok && response.data !== undefined) return response.data as T;
  if (response.response.status === 204) return undefined as T;
  const problem = response.error;
  throw new Refused(
    problem?.field ?? null,
    problem?.detail ?? "Vantick sent no answer.",
    response.response.ok ? 0 : (problem?.status ?? response.response.status),
    response.response.headers.get("content-type")?.startsWith("application/problem+json") ?? false,
    problem?.nearest ?? null,
  );
}
