import {
  api,
  asked,
  type Check,
  type Found,
  type Account,
  type Commas,
  type ColumnsSaid,
  type ListedClass,
  type ListTaken,
  type NamesRead,
  type AnswerImport,
  type CalendarAddress,
  type ChildFileFound,
  type Retention,
  type RetentionHow,
  type SchoolReport,
  type SchoolRosterChange,
  type SchoolRosterSent,
  type SchoolRosters,
  type Support,
  type Token,
  type TokenScope,
  type AnswersFound,
  type PackageFound,
  type RosterChange,
  type School,
  type Shares,
  type SchoolClass,
} from "./client";

/** The school as a whole. */
export function readSchool(): Promise<School> {
  return asked(api.GET("/api/school"));
}

/** Removes an account; its classes go to somebody else. */
export async function removeAccount(
  id: number,
  classesTo: number | null,
  present: string,
): Promise<Account[]> {
  const params = { path: { account_id: id } };
  const body = { classes_to: classesTo, present_password: present };
  return (await asked(api.POST("/api/accounts/{account_id}/removal", { params, body }))).accounts;
}

export async function setPassword(id: number, password: string, present: string): Promise<Account[]> {
  const params = { path: { account_id: id } };
  const body = { password, present_password: present };
  return (await asked(api.POST("/api/accounts/{account_id}/password", { params, body }))).accounts;
}

/** The school's file, whole. */
export function takeCopy(present: string): Promise<Blob> {
  const body = { present_password: present };
  return asked(api.POST("/api/school/copies", { body, parseAs: "blob" })) as unknown as Promise<Blob>;
}

export function listShares(classId: number): Promise<Shares> {
  return asked(api.GET("/api/classes/{class_id}/shares", { params: { path: { class_id: classId } } }));
}

/** Shares a class for good, or lends it until the end of a day. */
export function shareClass(classId: number, accountId: number, until: string | null): Promise<Shares> {
  const params = { path: { class_id: classId } };
  return asked(
    api.POST("/api/classes/{class_id}/shares", { params, body: { account_id: accountId, until } }),
  );
}

export function endShare(classId: number, accountId: number): Promise<Shares> {
  const params = { path: { class_id: classId, account_id: accountId } };
  return asked(api.DELETE("/api/classes/{class_id}/shares/{account_id}", { params }));
}

export async function handOver(classId: number, accountId: number): Promise<string> {
  const params = { path: { class_id: classId } };
  return (await asked(api.POST("/api/classes/{class_id}/owner", { params, body: { account_id: accountId } })))
    .name;
}

export type NamesTaken = "first" | "initial" | "full";

/** A list of children as it is sent: the file in base64, and how much of the names is kept. */
export interface Roster {
  file: string;
  names: NamesTaken;
  commas: Commas;
  of?: string | null;
  columns: ColumnsSaid | null;
  skipped: number[];
  gone: "stay" | "left";
  /** Who on the list is which child of the class. */
  same: { at: number; child_id: number }[];
}

/** Lists that were taken and can be taken back yet. */
export async function listRosters(classId: number): Promise<ListTaken[]> {
  const params = { path: { class_id: classId } };
  return (await asked(api.GET("/api/classes/{class_id}/rosters", { params }))).lists;
}

export function returnRoster(classId: number, listId: number): Promise<SchoolClass> {
  const params = { path: { class_id: classId, list_id: listId } };
  return asked(api.POST("/api/classes/{class_id}/rosters/{list_id}/return", { params }));
}

/** For which children a typed list is taken: of a new class, or beside those of a class. */
export function readNames(classId: number | null, text: string, commas: Commas): Promise<NamesRead> {
  const body = { text, commas };
  if (!classId) return asked(api.POST("/api/name-readings", { body }));
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/name-readings", { params, body }));
}

/** The classes in a list from another program; nothing of it is kept. */
export async function readRoster(body: {
  file: string;
  names: NamesTaken;
  commas?: Commas;
  columns?: ColumnsSaid | null;
  skipped?: number[];
}): Promise<ListedClass[]> {
  return (await asked(api.POST("/api/roster-readings", { body }))).classes;
}

export function previewRoster(classId: number, body: Roster): Promise<RosterChange> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/roster-previews", { params, body }));
}

export function takeRoster(classId: number, body: Roster): Promise<SchoolClass> {
  return asked(
    api.POST("/api/classes/{class_id}/rosters", { params: { path: { class_id: classId } }, body }),
  );
}

/** A child with the record, from a file of another Vantick. */
export function takeChildFile(classId: number, file: string): Promise<SchoolClass> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/child-files", { params, body: { file } }));
}

/** Which times are in a package from another program. */
export function previewPackage(classId: number, file: string): Promise<PackageFound> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/package-previews", { params, body: { file } }));
}

/** Makes a check of them. */
export function takePackage(classId: number, file: string, times: string[]): Promise<Check> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/packages", { params, body: { file, times } }));
}

/** Answers given in another program, as a table to look at. */
export function previewAnswers(checkId: number, file: string): Promise<AnswersFound> {
  const params = { path: { check_id: checkId } };
  return asked(api.POST("/api/checks/{check_id}/import-previews", { params, body: { file } }));
}

/** Tables of answers that can be taken out again. */
export async function listImports(checkId: number): Promise<AnswerImport[]> {
  const params = { path: { check_id: checkId } };
  return (await asked(api.GET("/api/checks/{check_id}/imports", { params }))).imports;
}

export function removeImport(checkId: number, importId: number): Promise<Check> {
  const params = { path: { check_id: checkId, import_id: importId } };
  return asked(api.DELETE("/api/checks/{check_id}/imports/{import_id}", { params }));
}

/** Children, checks and lessons of all classes by what is remembered of them. */
export async function search(text: string): Promise<Found[]> {
  return (await asked(api.GET("/api/search", { params: { query: { text } } }))).found;
}

/** The private address by which calendars follow a class. */
export function readCalendarAddress(classId: number): Promise<CalendarAddress> {
  const params = { path: { class_id: classId } };
  return asked(api.GET("/api/classes/{class_id}/calendar-address", { params }));
}

export function makeCalendarAddress(classId: number): Promise<CalendarAddress> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/calendar-address", { params }));
}

export function withdrawCalendarAddress(classId: number): Promise<CalendarAddress> {
  const params = { path: { class_id: classId } };
  return asked(api.DELETE("/api/classes/{class_id}/calendar-address", { params }));
}

/** Tokens by which other programs come in. */
export async function listTokens(classId: number): Promise<Token[]> {
  const params = { path: { class_id: classId } };
  return (await asked(api.GET("/api/classes/{class_id}/tokens", { params }))).tokens;
}

export function makeToken(
  classId: number,
  name: string,
  scope: TokenScope,
): Promise<{ id: number; token: string }> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/tokens", { params, body: { name, scope } }));
}

export function withdrawToken(classId: number, tokenId: number): Promise<unknown> {
  const params = { path: { class_id: classId, token_id: tokenId } };
  return asked(api.DELETE("/api/classes/{class_id}/tokens/{token_id}", { params }));
}

/** How many of each class meet a standard; the first of the country's where none is named. */
export function readSchoolReport(standard: string | undefined): Promise<SchoolReport> {
  return asked(api.GET("/api/school/report", { params: { query: { standard } } }));
}

/** Lists of the whole school that were taken, and files that lie ready. */
export function listSchoolRosters(): Promise<SchoolRosters> {
  return asked(api.GET("/api/school/rosters"));
}

export function previewSchoolRoster(body: SchoolRosterSent): Promise<SchoolRosterChange> {
  return asked(api.POST("/api/school/roster-previews", { body }));
}

export function takeSchoolRoster(body: SchoolRosterSent): Promise<SchoolRosters> {
  return asked(api.POST("/api/school/rosters", { body }));
}

export function returnSchoolRoster(id: number): Promise<SchoolRosters> {
  const params = { path: { school_list_id: id } };
  return asked(api.POST("/api/school/rosters/{school_list_id}/return", { params }));
}

const supportOf = (classId: number, childId: number) => ({ path: { class_id: classId, child_id: childId } });

/** Three weeks of help for a child, proposed or begun. */
export function readSupport(classId: number, childId: number): Promise<Support> {
  const params = supportOf(classId, childId);
  return asked(api.GET("/api/classes/{class_id}/children/{child_id}/support", { params }));
}

export function beginSupport(classId: number, childId: number): Promise<Support> {
  const params = supportOf(classId, childId);
  return asked(api.POST("/api/classes/{class_id}/children/{child_id}/support", { params }));
}

export function removeSupport(classId: number, childId: number): Promise<Support> {
  const params = supportOf(classId, childId);
  return asked(api.DELETE("/api/classes/{class_id}/children/{child_id}/support", { params }));
}

/** How long records stay, and how many are over time. */
export function readRetention(): Promise<Retention> {
  return asked(api.GET("/api/school/retention"));
}

export function setRetention(years: number | null): Promise<Retention> {
  return asked(api.PUT("/api/school/retention", { body: { years } }));
}

export function applyRetention(how: RetentionHow, present: string): Promise<Retention> {
  return asked(api.POST("/api/school/retention/runs", { body: { how, present_password: present } }));
}

/** Who is in a file of another Vantick, before anything is kept of it. */
export function previewChildFile(classId: number, file: string): Promise<ChildFileFound> {
  const params = { path: { class_id: classId } };
  return asked(api.POST("/api/classes/{class_id}/child-file-previews", { params, body: { file } }));
}
