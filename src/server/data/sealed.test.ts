import { createDecipheriv, scryptSync } from "node:crypto";
import { describe, expect, it } from "vitest";
import { isSealed, seal, unseal } from "./sealed";

const PASS = "four plain wörds here";
const TEXT = `{"format":"threpsis"}\n${"grandmother likes it sweet; ü 🙂\n".repeat(200)}`;

describe("a sealed copy", () => {
  it("opens with its passphrase, however its letters are put together, and holds nothing that can be read", async () => {
    const sealed = await seal(TEXT, PASS, "2026-12-01T10:00:00.000Z");
    expect(isSealed(sealed)).toBe(true);
    expect(sealed).not.toMatch(/grandmother|wörds/);
    expect(await unseal(sealed, PASS)).toBe(TEXT);
    expect(await unseal(sealed, PASS.normalize("NFD"))).toBe(TEXT);
    expect(await seal(TEXT, PASS, "x")).not.toBe(await seal(TEXT, PASS, "x"));
  });
  it("is opened by the standards that it names, without this program", async () => {
    const [head = "", body = ""] = (await seal(TEXT, PASS, "x")).split("\n");
    const { key, seal: by } = JSON.parse(head) as {
      readonly key: { readonly N: number; readonly r: number; readonly p: number; readonly salt: string };
      readonly seal: { readonly nonce: string };
    };
    const bytes = Buffer.from(body, "base64");
    const plain = createDecipheriv(
      "aes-256-gcm",
      scryptSync(PASS.normalize("NFKC"), Buffer.from(key.salt, "base64"), 32, { N: key.N, r: key.r, p: key.p, maxmem: 2 ** 29 }),
      Buffer.from(by.nonce, "base64"),
    );
    plain.setAAD(Buffer.from(head));
    plain.setAuthTag(bytes.subarray(-16));
    expect(plain.update(bytes.subarray(0, -16), undefined, "utf8") + plain.final("utf8")).toBe(TEXT);
  });
  it("is refused where the passphrase is another, a letter of it was changed, or it is cut off", async () => {
    const sealed = await seal(TEXT, PASS, "2026-12-01T10:00:00.000Z");
    const [head = "", body = ""] = sealed.split("\n");
    await expect(unseal(sealed, `${PASS}.`)).rejects.toThrow(/does not open it/);
    const flipped = `${body.slice(0, 40)}${body.charAt(40) === "A" ? "B" : "A"}${body.slice(41)}`;
    await expect(unseal(`${head}\n${flipped}\n`, PASS)).rejects.toThrow(/does not open it/);
    await expect(unseal(`${head.replace("2026", "2027")}\n${body}\n`, PASS)).rejects.toThrow(/does not open it/);
    await expect(unseal(`${head}\n${body.slice(0, 400)}\n`, PASS)).rejects.toThrow(/does not open it/);
    await expect(unseal(`${head}\n`, PASS)).rejects.toThrow(/cut off/);
  });
  it("may not ask for more memory than there is to give, nor be of a form that is not known", async () => {
    const [head = "", body = ""] = (await seal(TEXT, PASS, "x")).split("\n");
    for (const bad of [
      head.replace('"N":131072', '"N":1073741824'),
      head.replace('"N":131072', '"N":131071'),
      head.replace("aes-256-gcm", "rot13"),
      "{",
      "",
      head.replace('"version":1', '"version":9'),
    ])
      await expect(unseal(`${bad}\n${body}\n`, PASS)).rejects.toThrow(/no sealed copy|newer Threpsis/);
  });
});
