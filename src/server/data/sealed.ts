import { createCipheriv, createDecipheriv, randomBytes, scrypt, type ScryptOptions } from "node:crypto";
import { Refusal } from "../http/problems";
import { SEALED_FORMAT, SEALED_SIZES, validateSealedHead, type SealedHead } from "../http/schemas/backup";

/**
 * A text sealed with a passphrase, as text: a line of JSON that says how (without it nothing is opened: the seal covers it), then
 * the sealed bytes in base64. The key is the passphrase by scrypt (RFC 7914), the seal AES-256-GCM (NIST SP 800-38D).
 */
const VERSION = 1;
/** scrypt: 128 MB and about half a second here. */
const COST = { N: 2 ** 17, r: 8, p: 1 } as const;
const MEMORY = 512 * 1024 * 1024;
const { salt: SALT, nonce: NONCE } = SEALED_SIZES;
const [KEY, TAG] = [32, 16];

/** Whether a file says that it is sealed. */
export const isSealed = (text: string): boolean => text.startsWith(`{"format":"${SEALED_FORMAT}"`);

const keyOf = (passphrase: string, salt: Buffer, options: ScryptOptions): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    // One passphrase, however its letters were put together.
    scrypt(passphrase.normalize("NFKC"), salt, KEY, { ...options, maxmem: MEMORY }, (error, key) => {
      if (error) reject(error);
      else resolve(key);
    });
  });

/** A text sealed with a passphrase. */
export async function seal(text: string, passphrase: string, made: string): Promise<string> {
  const [salt, nonce] = [randomBytes(SALT), randomBytes(NONCE)];
  const head = JSON.stringify({
    format: SEALED_FORMAT,
    version: VERSION,
    made,
    key: { by: "scrypt", ...COST, salt: salt.toString("base64") },
    seal: { by: "aes-256-gcm", nonce: nonce.toString("base64") },
  });
  const cipher = createCipheriv("aes-256-gcm", await keyOf(passphrase, salt, COST), nonce, { authTagLength: TAG });
  cipher.setAAD(Buffer.from(head, "utf8"));
  const sealed = Buffer.concat([cipher.update(text, "utf8"), cipher.final(), cipher.getAuthTag()]);
  return `${head}\n${sealed.toString("base64")}\n`;
}

/** The text of a sealed file; a Refusal where it is none, was changed, or is opened by another passphrase. */
export async function unseal(file: string, passphrase: string): Promise<string> {
  const [first = "", ...rest] = file.split("\n");
  const head = headOf(first);
  const sealed = Buffer.from(rest.join(""), "base64");
  if (sealed.length < TAG) throw new Refusal(422, "The sealed copy is cut off: nothing stands behind its first line.");
  const { N, r, p, salt } = head.key;
  const decipher = createDecipheriv("aes-256-gcm", await keyOf(passphrase, Buffer.from(salt, "base64"), { N, r, p }), Buffer.from(head.seal.nonce, "base64"), {
    authTagLength: TAG,
  });
  decipher.setAAD(Buffer.from(first, "utf8"));
  decipher.setAuthTag(sealed.subarray(-TAG));
  try {
    return Buffer.concat([decipher.update(sealed.subarray(0, -TAG)), decipher.final()]).toString("utf8");
  } catch {
    throw new Refusal(422, "This passphrase does not open it, or the file was changed since it was sealed.", [
      { pointer: "/passphrase", detail: "Look whether capitals are on, and try it again. Nobody can open it without." },
    ]);
  }
}

function headOf(line: string): SealedHead {
  let read: unknown;
  try {
    read = JSON.parse(line);
  } catch {
    throw new Refusal(422, "This is no sealed copy: its first line cannot be read.");
  }
  if (!validateSealedHead(read) || !Number.isInteger(Math.log2(read.key.N)))
    throw new Refusal(422, "This is no sealed copy that can be opened here: its first line is not as it should be.");
  if (read.version > VERSION) throw new Refusal(422, "It was sealed by a newer Threpsis. Bring this one up to date first.");
  return read;
}
