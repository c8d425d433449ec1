/**
 * The sounds that ship with Vantick, for devices without a voice of their own: sentences that are always the same, and the words of which
 * all others are made. Core says which there are (Desk::Spoken); nothing of it is loaded before it is asked for.
 */
const FOLDER = "/voice/";
type Index = Readonly<Record<string, string>>;
/** Milliseconds between two sentences. */
const PAUSE = 250;

/** The words of a text as the index has them: small letters, without signs. */
function wordsOf(text: string): string[] {
  const plain = text
    .toLowerCase()
    .replace(/(?<=[a-z])\.(?=[a-z])/g, "")
    .replaceAll("’", "'");
  return plain.match(/[a-z]+(?:['-][a-z]+)*|\d+/g) ?? [];
}

/** The files of a sentence, the longest pieces that there are. */
function filesOf(sentence: string, index: Index): string[] {
  const words = wordsOf(sentence);
  const files: string[] = [];
  for (let at = 0; at < words.length;) {
    let length = words.length - at;
    while (length > 1 && !index[words.slice(at, at + length).join(" ")]) length -= 1;
    const file = index[words.slice(at, at + length).join(" ")];
    if (file) files.push(file);
    at += length;
  }
  return files;
}

const sentencesOf = (text: string): string[] => text.split(/(?<=[.!?:]) /);
const later = (milliseconds: number): Promise<void> =>
  new Promise((done) => {
    setTimeout(done, milliseconds);
  });

/** Whether this Vantick was built with sounds. */
export async function soundsThere(): Promise<boolean> {
  return fetch(`${FOLDER}index.json`, { method: "HEAD" }).then(
    (answer) => answer.ok,
    () => false,
  );
}

export interface Sounds {
  say: (texts: readonly string[]) => void;
  stop: () => void;
}

export function useSounds(): Sounds {
  let index: Promise<Index> | undefined;
  const player = new Audio();
  /** Ends the piece that is being heard. */
  let cut = (): void => undefined;
  /** What is being read; another one begins, and this one ends. */
  let reading = 0;

  function heard(file: string): Promise<void> {
    return new Promise((done) => {
      player.onended = player.onerror = () => done();
      cut = done;
      player.src = FOLDER + file;
      player.play().catch(() => done());
    });
  }

  async function read(texts: readonly string[]): Promise<void> {
    const mine = (reading += 1);
    index ??= fetch(`${FOLDER}index.json`).then((answer) => answer.json() as Promise<Index>);
    const known = await index.catch(() => ({}) as Index);
    for (const sentence of texts.flatMap(sentencesOf)) {
      for (const file of filesOf(sentence, known)) {
        if (mine !== reading) return;
        await heard(file);
      }
      await later(PAUSE);
    }
  }

  function stop(): void {
    reading += 1;
    player.pause();
    cut();
  }

  return {
    say: (texts) => {
      stop();
      void read(texts);
    },
    stop,
  };
}
