import { useEventListener, useLocalStorage } from "@vueuse/core";
import { computed, onMounted, onScopeDispose, ref, watch, type Ref } from "vue";
import { soundsThere, useSounds } from "./sounds";

interface Voice {
  /** Whether anything can be heard here: the browser's own voice, or sounds that ship with Vantick. */
  has: Ref<boolean>;
  /** As the teacher has set it, until the child asks for something else; this device remembers by child. */
  on: Readonly<Ref<boolean>>;
  toggle: () => void;
  /** Reads aloud, where that is wanted; what was being read stops. */
  say: (...texts: string[]) => void;
}

/**
 * Reads aloud with the browser's own voice, or with the sounds that ship with Vantick.
 * @param wantedFirst whether it is on before the child has pressed anything
 */
export function useVoice(child: () => number | undefined, wantedFirst: () => boolean | undefined): Voice {
  const speech = "speechSynthesis" in window ? window.speechSynthesis : undefined;
  const sounds = useSounds();
  const own = ref(false);
  const ships = ref(false);
  const wanted = useLocalStorage<Record<string, boolean>>("vantick.voice", {});
  const on = computed(() => wanted.value[child() ?? ""] ?? wantedFirst() ?? false);
  let last: string[] = [];

  const look = (): void =>
    void (own.value = Boolean(speech?.getVoices().some((voice) => voice.lang.startsWith("en"))));
  look();
  useEventListener(speech, "voiceschanged", look);
  onMounted(async () => (ships.value = await soundsThere()));

  function stop(): void {
    speech?.cancel();
    sounds.stop();
  }

  function speak(texts: readonly string[]): void {
    const words = new SpeechSynthesisUtterance(texts.filter(Boolean).join(" "));
    words.lang = "en";
    words.rate = 0.9;
    speech?.speak(words);
  }

  function say(...texts: string[]): void {
    last = texts;
    if (!on.value) return;
    stop();
    if (own.value) speak(texts);
    else if (ships.value) sounds.say(texts);
  }

  function toggle(): void {
    wanted.value = { ...wanted.value, [child() ?? ""]: !on.value };
    if (on.value) say(...last);
    else stop();
  }

  onScopeDispose(stop);
  const has = computed(() => own.value || ships.value);
  // Who is to be read to from the start hears the first task as soon as it is known what there is to hear.
  watch(has, (now) => now && on.value && say(...last));
  return { has, on, toggle, say };
}
