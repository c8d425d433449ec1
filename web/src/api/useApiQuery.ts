import { keepPreviousData, QueryClient, useQuery } from "@tanstack/vue-query";
import { computed, type ComputedRef } from "vue";
import { api, Refused } from "./client";

/** The words of an error for a person. */
export function wordsOf(error: unknown): string {
  return error instanceof Refused ? error.message : String(error);
}

const TRIES = 3;
/** Only what the network or the server could not do is worth asking again. */
const worthAgain = (error: unknown): boolean =>
  error instanceof Refused && (error.status === 0 || error.status >= 500);

/** What was asked of the server, kept by what it was asked for. */
export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: "always",
      refetchOnWindowFocus: false,
      retry: (count, error) => count < TRIES - 1 && worthAgain(error),
      retryDelay: (count) => 300 * 2 ** count,
    },
  },
});

/** What was asked before a change, and is not on the page now, is shown to nobody after it. */
api.use({
  onResponse({ request, response }) {
    const changed = request.method !== "GET" && response.ok && !/-(previews|readings)$/.test(request.url);
    if (changed)
      queries.removeQueries({ type: "inactive", predicate: ({ queryKey }) => queryKey[0] !== TABLE });
  },
});
/** The first word by which tables of core are kept: nothing that is done changes them. */
export const TABLE = "table";

/** Everything on the page is asked anew, once the page has changed something; what is built upon stays as it was. */
export const askAgain = (): Promise<void> =>
  queries.invalidateQueries({ type: "active", predicate: ({ meta }) => !meta?.fresh });

export interface ApiQuery<T> {
  /** What the server said; nothing before, and nothing where it cannot be said. */
  data: ComputedRef<T | null>;
  /** Why there is nothing, for a person to read; empty where there is, or where it is still on its way. */
  errorMessage: ComputedRef<string>;
  /** The same as it was refused, with the field it belongs to. */
  refused: ComputedRef<Refused | null>;
  /** What went wrong at the last look, where what is shown is older. */
  lost: ComputedRef<string>;
  reload: () => Promise<void>;
}

interface How<T, S> {
  /** Milliseconds until the next look while a page is open; none where it says false. */
  every?: (data: T | undefined) => number | false;
  /** While something else is asked for what was there stays. */
  meanwhile?: boolean;
  /** For what is built upon, or worked through: nothing older than this page is shown, and it is asked once. */
  fresh?: boolean;
  /** What was asked before the page was there is taken for it, see `askAhead`. */
  ahead?: boolean;
  /** A part of what the server said, in place of all. */
  select?: (data: T) => S;
}

/** An operation of the contract, or several together under a name of their own. */
type Asking<A extends unknown[], T> = ((...args: A) => Promise<T>) & { readonly id: string };

/** @example const searchFor = together("search", async (text: string) => ({ ... })); */
export const together = <A extends unknown[], T>(
  id: string,
  load: (...args: A) => Promise<T>,
): Asking<A, T> => Object.assign(load, { id });

/** So old may be what was asked ahead of a page: the words of a class take no longer to come. */
const AHEAD_MS = 2000;

/** Asks what a page that is about to come will ask first; whether it can be said, the page says. */
export function askAhead<A extends unknown[], T>(load: Asking<A, T>, args: A): void {
  const queryFn = () => load(...args);
  void queries.prefetchQuery({ queryKey: [load.id, ...args], queryFn, retry: false });
}

/**
 * What a page asks of the server, by an operation and by what it depends on; nothing is asked while that is missing.
 * What was asked lately is shown at once, and anew as soon as it comes; after a change that this page makes, all is asked again.
 * @example const { data, errorMessage } = useApiQuery(readLadder, () => classId.value && [classId.value])
 */
export function useApiQuery<A extends [] | unknown[], T, S = T>(
  load: Asking<A, T>,
  args: () => Readonly<NoInfer<A>> | null | undefined | 0 | "" | false,
  { every, fresh, meanwhile, ahead, select }: How<T, S> = {},
): ApiQuery<S> {
  const now = computed(() => args() || null);
  const { data, error, refetch } = useQuery<T, Error, S>({
    queryKey: computed(() => [load.id, ...(now.value ?? [])]),
    queryFn: ({ queryKey }) => load(...(queryKey.slice(1) as unknown as A)),
    enabled: computed(() => now.value !== null),
    refetchInterval: every ? (query) => every(query.state.data as T | undefined) : false,
    ...(select ? { select } : {}),
    ...(fresh ? { gcTime: 0, meta: { fresh } } : {}),
    ...(ahead ? { staleTime: AHEAD_MS } : {}),
    ...(meanwhile ? { placeholderData: keepPreviousData } : {}),
    shallow: true,
  });
  const shown = computed(() => (now.value ? ((data.value ?? null) as S | null) : null));
  const words = computed(() => (error.value && now.value ? wordsOf(error.value) : ""));
  return {
    data: shown,
    errorMessage: computed(() => (shown.value === null ? words.value : "")),
    refused: computed(() => (now.value && error.value instanceof Refused ? error.value : null)),
    lost: computed(() => (shown.value === null ? "" : words.value)),
    reload: async () => void (await refetch()),
  };
}
