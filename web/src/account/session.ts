import { defineStore } from "pinia";
import { ref } from "vue";
import { queries, readSession, signOut, type Session } from "@/api";
import { keepZone } from "@/words";

/** Whether a teacher is signed in here. */
export const useSession = defineStore("session", () => {
  const known = ref(false);
  const signedIn = ref(false);
  const name = ref("");
  const firstStart = ref(false);
  /** Whether a session has ended by itself, and not by signing out. */
  const ended = ref(false);
  const demo = ref<Session["demo"]>(null);

  async function load(): Promise<Session> {
    const found = await readSession();
    known.value = true;
    signedIn.value = found.signed_in;
    if (found.signed_in) ended.value = false;
    name.value = found.name ?? "";
    firstStart.value = found.first_start;
    demo.value = found.demo;
    keepZone(found.time_zone);
    return found;
  }

  function forget(): void {
    ended.value ||= signedIn.value;
    signedIn.value = false;
    queries.clear();
  }

  async function leave(everywhere: boolean): Promise<void> {
    await signOut(everywhere);
    forget();
    ended.value = false;
    // What was being typed is the teacher's who leaves, not the next one's.
    sessionStorage.clear();
  }

  return { known, signedIn, ended, name, firstStart, demo, load, forget, leave };
});
