import { useEventListener, useLocalStorage } from "@vueuse/core";
import { computed, onScopeDispose, ref, type Ref } from "vue";

interface Voice {
  /** Whether the browser has a voice at all. */
  has: Ref<boolean>;
  /** As the teacher has set it, until the child asks for something else; this device remembers by child. */
  on: Readonly<Ref<boolean>>;
  toggle: () => void;
  /** Reads aloud, where that is wanted; what was being read stops. */
  say: (...texts: string[]) => void;
}

/**
 * Reads aloud with the browser's own voice.
 * @param wantedFirst whether it is on before the child has pressed anything
 */
export function useVoice(child: () => number | undefined, wantedFirst: () => boolean | undefined): Voice {
  const speech = "speechSynthesis" in window ? window.speechSynthesis : undefined;
  const has = ref(false);
  const wanted = useLocalStorage<Record<string, boolean>>("vantick.voice", {});
  const on = computed(() => wanted.value[child() ?? ""] ?? wantedFirst() ?? false);
  let last: string[] = [];

  const look = (): void => void (has.value = Boolean(speech?.getVoices().length));
  look();
  useEventListener(speech, "voiceschanged", look);

  function say(...texts: string[]): void {
    last = texts;
    if (!speech || !on.value) return;
    speech.cancel();
    const words = new SpeechSynthesisUtterance(texts.filter(Boolean).join(" "));
    words.lang = "en";
    words.rate = 0.9;
    speech.speak(words);
  }

  function toggle(): void {
    wanted.value = { ...wanted.value, [child() ?? ""]: !on.value };
    if (on.value) say(...last);
    else speech?.cancel();
  }

  onScopeDispose(() => speech?.cancel());
  return { has, on, toggle, say };
}
