import { api, asked } from "./client";
import type { paths } from "./schema";

type Method = "get" | "post" | "put" | "delete";
type Path<M extends Method> = {
  [P in keyof paths]: paths[P] extends Record<M, { responses: unknown }> ? P : never;
}[keyof paths] &
  string;
type Described<P extends keyof paths, M extends Method> = M extends keyof paths[P] ? paths[P][M] : never;

/** What stands in the braces of a path, in its order. */
type Places<P extends string, Values> = P extends `${string}{${infer Name}}${infer Rest}`
  ? [Name extends keyof Values ? Values[Name] : never, ...Places<Rest, Values>]
  : [];
type PathOf<O> = O extends { parameters: { path: infer Values } } ? Values : Record<never, never>;
type QueryOf<O> = O extends { parameters: { query?: infer Query } } ? Query : never;
type BodyOf<O> = O extends { requestBody: { content: { "application/json": infer Body } } } ? Body : never;

type Input<O> = [BodyOf<O>] extends [never]
  ? [QueryOf<O>] extends [undefined] | [never]
    ? []
    : Record<never, never> extends QueryOf<O>
      ? [query?: QueryOf<O>]
      : [query: QueryOf<O>]
  : [body: BodyOf<O>];

type Answers<O> = O extends { responses: infer Responses }
  ? {
      [Status in keyof Responses & (200 | 201 | 202)]: Responses[Status] extends {
        content: { "application/json": infer Data };
      }
        ? Data
        : unknown;
    }[keyof Responses & (200 | 201 | 202)]
  : never;

/** An operation of the contract as a function: what its path names in order, then its query or its body. */
export interface Operation<A extends unknown[], T> {
  (...args: A): Promise<T>;
  /** Its name in the contract. */
  readonly id: string;
}

/** Those that send nothing along but what is in the address. */
const ASKING: ReadonlySet<Method> = new Set(["get", "delete"]);

/** @example const readRegister = operation("readRegister", "get", "/api/classes/{class_id}/register"); */
export function operation<M extends Method, P extends Path<M>>(
  id: string,
  method: M,
  path: P,
): Operation<[...Places<P, PathOf<Described<P, M>>>, ...Input<Described<P, M>>], Answers<Described<P, M>>> {
  const places = [...path.matchAll(/\{(\w+)\}/g)].map((found) => found[1] as string);
  const call = (...args: unknown[]): Promise<Answers<Described<P, M>>> => {
    const named = Object.fromEntries(places.map((place, at) => [place, args[at]]));
    const input = args[places.length];
    const params = { path: named, ...(ASKING.has(method) ? { query: input } : {}) };
    const init = { params, ...(ASKING.has(method) ? {} : { body: input }) };
    // The types of both ends are those above; the client's own are for a path that is written where it is called.
    return asked(api.request(method, path as never, init as never) as never);
  };
  return Object.assign(call, { id });
}
