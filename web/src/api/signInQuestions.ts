import { api, asked, type FirstDay, type Session } from "./client";

export function readSession(): Promise<Session> {
  return asked(api.GET("/api/session"));
}

/** Keeps with the account that something of the first day is done. */
export async function tickFirstDay(done: FirstDay[number]): Promise<FirstDay> {
  return (await asked(api.POST("/api/session/first-day", { body: { done } }))).first_day;
}

interface NameAndPassword {
  name: string;
  password: string;
}

export function signIn(body: NameAndPassword): Promise<unknown> {
  return asked(api.POST("/api/session/login", { body }));
}

/** The very first account of a school. */
export function makeFirstAccount(body: NameAndPassword & { country: string }): Promise<unknown> {
  return asked(api.POST("/api/session/first", { body }));
}

export function makeTeacher(body: NameAndPassword): Promise<unknown> {
  return asked(api.POST("/api/teachers", { body }));
}

export function signOut(everywhere: boolean): Promise<unknown> {
  return asked(api.POST("/api/session/logout", { body: { everywhere } }));
}

export function changePassword(password: string, newPassword: string): Promise<unknown> {
  return asked(api.POST("/api/session/password", { body: { password, new_password: newPassword } }));
}
