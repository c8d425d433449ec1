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

/** Counts what this page has changed: what was asked before a change is shown to nobody after it. */
let changes = 0;
api.use({
  onResponse({ request, response }) {
    if (request.method !== "GET" && response.ok && !/-(previews|readings)$/.test(request.url)) changes += 1;
  },
});

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

interface How<T> {
  /** Milliseconds until the next look while a page is open; none where it says false. */
  every?: (data: T | undefined) => number | false;
  /** While something else is asked for what was there stays. */
  meanwhile?: boolean;
  /** For what is built upon: nothing older than this page is shown. */
  fresh?: boolean;
}

/**
 * What a page asks of the server, by a name and by what it depends on; nothing is asked while that is missing.
 * What was asked lately is shown at once, and anew as soon as it comes.
 * @example const { data, errorMessage } = useApiQuery("ladder", () => classId.value && [classId.value], readLadder)
 */
export function useApiQuery<T, A extends [] | unknown[]>(
  name: string,
  args: () => A | null | undefined | 0 | "" | false,
  load: (...args: A) => Promise<T>,
  { every, fresh, meanwhile }: How<T> = {},
): ApiQuery<T> {
  const now = computed(() => args() || null);
  const since = changes;
  const { data, error, refetch } = useQuery<T>({
    queryKey: computed(() => [name, since, ...(now.value ?? [])]),
    queryFn: ({ queryKey }) => load(...(queryKey.slice(2) as A)),
    enabled: computed(() => now.value !== null),
    refetchInterval: every ? (query) => every(query.state.data) : false,
    ...(fresh ? { gcTime: 0 } : {}),
    ...(meanwhile ? { placeholderData: keepPreviousData } : {}),
    shallow: true,
  });
  const shown = computed(() => (now.value ? ((data.value ?? null) as T | null) : null));
  const words = computed(() => (error.value && now.value ? wordsOf(error.value) : ""));
  return {
    data: shown,
    errorMessage: computed(() => (shown.value === null ? words.value : "")),
    refused: computed(() => (now.value && error.value instanceof Refused ? error.value : null)),
    lost: computed(() => (shown.value === null ? "" : words.value)),
    reload: async () => void (await refetch()),
  };
}
