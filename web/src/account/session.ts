import { defineStore } from "pinia";
import { ref } from "vue";
import { queries, readSession, signOut, markFirstDay, useFacts, type FirstDay, type Session } from "@/api";
import { keepLocale, keepZone } from "@/words";

/** Whether a teacher is signed in here. */
export const useSession = defineStore("session", () => {
  const known = ref(false);
  const signedIn = ref(false);
  const name = ref("");
  /** Whether this teacher keeps the school. */
  const keeper = ref(false);
  const firstStart = ref(false);
  /** Whether a session has ended by itself, and not by signing out. */
  const ended = ref(false);
  const demo = ref<Session["demo"]>(null);
  /** What is done of the first day, on whatever device. */
  const firstDay = ref<FirstDay>([]);

  /** What can be chosen at the first start. */
  const countries = ref<Session["countries"]>([]);

  /** Who is here, and their classes. */
  async function load(): Promise<Session> {
    const found = await readSession();
    known.value = true;
    signedIn.value = found.signed_in;
    if (found.signed_in) ended.value = false;
    name.value = found.name ?? "";
    keeper.value = found.keeper;
    firstStart.value = found.first_start;
    demo.value = found.demo;
    firstDay.value = found.first_day;
    keepZone(found.time_zone);
    keepLocale(found.country.locale);
    countries.value = found.countries;
    useFacts().country = found.country;
    return found;
  }

  /** A tick that cannot be kept is set again the next time. */
  async function tick(done: FirstDay[number]): Promise<void> {
    if (!signedIn.value || firstDay.value.includes(done)) return;
    firstDay.value = [...firstDay.value, done];
    await markFirstDay({ done }).catch(() => undefined);
  }

  function forget(): void {
    ended.value ||= signedIn.value;
    signedIn.value = false;
    queries.clear();
  }

  async function leave(everywhere: boolean): Promise<void> {
    await signOut({ everywhere });
    forget();
    ended.value = false;
    // What was being typed is the teacher's who leaves, not the next one's.
    sessionStorage.clear();
  }

  return {
    known,
    keeper,
    signedIn,
    ended,
    name,
    firstStart,
    demo,
    firstDay,
    countries,
    load,
    tick,
    forget,
    leave,
  };
});
