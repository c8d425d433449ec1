import * as server from "./server";
import { VueQueryPlugin } from "@tanstack/vue-query";
import { createPinia } from "pinia";
import { createApp, defineComponent, nextTick, ref, shallowRef } from "vue";
import * as api from "@/api";
import { useTypedAnswers } from "@/check/useTypedAnswers";
import { useAdjustments } from "@/class/useAdjustments";
import * as machine from "@/desk/machine";
import * as outbox from "@/desk/outbox";
import { useDesk } from "@/desk/useDesk";
import * as geometry from "@/dial/geometry";
import * as hands from "@/dial/useLooseHands";
import { useMoving } from "@/dial/useMoving";
import * as reason from "@/plan/reason";
import * as lesson from "@/plan/useLesson";
import { whyNext } from "@/plan/reason";
import * as termWords from "@/plan/term/words";
import * as pictures from "@/pictures/pictures";
import { useRun } from "@/plan/useRun";
import { HELP } from "@/app/help";
import { useKeptFocus } from "@/route/keptFocus";
import * as lenses from "@/show/lenses";
import { useSequence } from "@/show/useSequence";
import { useLoose } from "@/show/useLoose";
import { useTurning } from "@/show/useTurning";
import * as states from "@/shared/states";
import * as verdicts from "@/shared/verdicts";
import * as words from "@/words";

/**
 * The front end's own logic, for tests in the browser that ships it: each part by itself, with a stand-in for the server.
 * Nothing of this is in what is shipped.
 */
const app = createApp({ render: () => null });
app.use(createPinia()).use(VueQueryPlugin, { queryClient: api.queries });
app.mount("#app");

const pages = new Set<() => void>();
/** Everybody goes: no page is open. */
function leave(): void {
  for (const close of pages) close();
  pages.clear();
}

/** What a composable gives, as if a page used it. */
function used<T>(composable: () => T): T {
  let made: T | undefined;
  const page = createApp(
    defineComponent({
      setup() {
        made = composable();
        return () => null;
      },
    }),
  );
  Object.assign(page._context.provides, app._context.provides);
  page.mount(document.createElement("div"));
  pages.add(() => page.unmount());
  return made as T;
}

const lab = {
  server,
  used,
  leave,
  vue: { nextTick, ref, shallowRef },
  api,
  useAdjustments,
  useTypedAnswers,
  machine,
  outbox,
  useDesk,
  geometry,
  hands,
  help: HELP,
  pictures,
  states,
  verdicts,
  useMoving,
  reason,
  lesson,
  termWords,
  whyNext,
  useRun,
  useKeptFocus,
  lenses,
  useSequence,
  useLoose,
  useTurning,
  words,
};

declare global {
  interface Window {
    lab: typeof lab;
  }
}
window.lab = lab;
