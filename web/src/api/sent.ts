import { useBase64 } from "@vueuse/core";
import { Refused } from "./client";
import { LIMITS } from "./limits";

/** Bytes of a file that the server takes at most: four letters of base64 hold three. */
const MOST = (LIMITS.FileSent / 4) * 3;

/** Bytes of a package from another program, and what of it has words. Its pictures and sounds stay here. */
const LARGEST = 20_000_000;
const WORDS = /\.(xml|csv)$/i;

/** A file as it is sent: its bytes in base64. What is too large is said before anything is sent. */
export async function fileSent(file: Blob): Promise<string> {
  if (file.size > MOST)
    throw new Refused("file", `This file is larger than ${MOST / 1000} kB. Choose a smaller one.`, 413, true);
  const address = await useBase64(() => file).execute();
  return address.slice(address.indexOf(",") + 1);
}

/** A package as it is sent: of a large one only the files with words. */
export async function packageSent(file: File): Promise<string> {
  if (file.size <= MOST || !/\.zip$/i.test(file.name)) return fileSent(file);
  if (file.size > LARGEST) throw new Refused("file", "This file is larger than 20 MB.", 413, true);
  const { unzip, zip } = await import("fflate");
  const bytes = new Uint8Array(await file.arrayBuffer());
  const small = new Promise<Uint8Array>((done, failed) => {
    unzip(bytes, { filter: (file) => WORDS.test(file.name) }, (wrong, files) => {
      if (wrong)
        failed(
          new Refused("file", "The zip file can't be opened. Save it again where it comes from.", 422, true),
        );
      else zip(files, (errorMessage, zipped) => (errorMessage ? failed(errorMessage) : done(zipped)));
    });
  });
  return fileSent(new Blob([(await small) as BlobPart]));
}
