import { useBase64 } from "@vueuse/core";

/** A file as it is sent: its bytes in base64. */
export async function fileSent(file: Blob): Promise<string> {
  const address = await useBase64(() => file).execute();
  return address.slice(address.indexOf(",") + 1);
}
