import Type, { type Static } from "typebox";
import { compiled, only, text } from "./shapes";

/** Shorter passphrases are guessed too soon; longer ones nobody types. */
const PASSPHRASE = { least: 10, most: 200 } as const;

/** A passphrase that a backup is sealed with; and one that is to open one, whatever it was sealed with. */
export const validateSealing = compiled(only({ passphrase: text(PASSPHRASE.most, PASSPHRASE.least) }));
export const validateOpening = compiled(only({ passphrase: text(PASSPHRASE.most, 1) }));

export const SEALED_FORMAT = "threpsis-sealed";
/** Bytes of what is drawn by chance for each file. */
export const SEALED_SIZES = { salt: 16, nonce: 12 } as const;
/** A file may not ask for more: it would take the machine's memory. */
const MOST = { N: 2 ** 18, r: 16, p: 4 } as const;

const base64 = (bytes: number) =>
  Type.String({ pattern: "^[A-Za-z0-9+/]+={0,2}$", minLength: Math.ceil((bytes * 4) / 3), maxLength: Math.ceil(bytes / 3) * 4 });
const HEAD = only({
  format: Type.Literal(SEALED_FORMAT),
  version: Type.Integer({ minimum: 1 }),
  made: text(40),
  key: only({
    by: Type.Literal("scrypt"),
    N: Type.Integer({ minimum: 2 ** 14, maximum: MOST.N }),
    r: Type.Integer({ minimum: 1, maximum: MOST.r }),
    p: Type.Integer({ minimum: 1, maximum: MOST.p }),
    salt: base64(SEALED_SIZES.salt),
  }),
  seal: only({ by: Type.Literal("aes-256-gcm"), nonce: base64(SEALED_SIZES.nonce) }),
});
export type SealedHead = Static<typeof HEAD>;
/** The first line of a sealed backup: how it was sealed. */
export const validateSealedHead = compiled(HEAD);
