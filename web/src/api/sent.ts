import { useBase64 } from "@vueuse/core";
import { Refused } from "./client";

/** Bytes of a file that the server takes at most. */
const MOST = 600_000;

/** A file as it is sent: its bytes in base64. What is too large is said before anything is sent. */
export async function fileSent(file: Blob): Promise<string> {
  if (file.size > MOST)
    throw new Refused("file", "This file is larger than 600 kB. Choose a smaller one.", 413, true);
  const address = await useBase64(() => file).execute();
  return address.slice(address.indexOf(",") + 1);
}
