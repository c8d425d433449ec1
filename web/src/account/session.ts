import { defineStore } from "pinia";
import { ref } from "vue";
import { readSession, signOut, type Session } from "@/api";

/** Whether a teacher is signed in here. */
export const useSession = defineStore("session", () => {
  const known = ref(false);
  const signedIn = ref(false);
  const name = ref("");
  const firstStart = ref(false);
  const demo = ref<Session["demo"]>(null);

  async function load(): Promise<Session> {
    const found = await readSession();
    known.value = true;
    signedIn.value = found.signed_in;
    name.value = found.name ?? "";
    firstStart.value = found.first_start;
    demo.value = found.demo;
    return found;
  }

  function forget(): void {
    signedIn.value = false;
  }

  async function leave(everywhere: boolean): Promise<void> {
    await signOut(everywhere);
    forget();
  }

  return { known, signedIn, name, firstStart, demo, load, forget, leave };
});
