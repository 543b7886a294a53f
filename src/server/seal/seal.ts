import { createCipheriv, createDecipheriv, createHmac, hkdfSync, randomBytes } from "node:crypto";

const algorithm = "aes-256-gcm";
const sizes = { key: 32, iv: 12, tag: 16 } as const;

/** The installation's key, 32 bytes; null where none is set: then nothing is sealed, and what was cannot be read. */
function recordKey(): Buffer | null {
  const given = process.env["RECORD_KEY"];
  if (!given) return null;
  const key = Buffer.from(given, "base64");
  if (key.length !== sizes.key) throw new Error("RECORD_KEY must be 32 bytes in base64");
  return key;
}

/** Whether something can be sealed here. */
export const maySeal = (): boolean => recordKey() !== null;

/** Each clinic has a key of its own, made from the installation's (RFC 5869). */
const clinicKey = (key: Buffer, clinicId: string): Buffer =>
  Buffer.from(hkdfSync("sha256", key, clinicId.toLowerCase(), "patient-stair sealed", sizes.key));

/** The key of a clinic's log, made from the installation's; empty where none is set: then the chain shows slips, not forgers. */
export function chainKey(clinicId: string): Buffer {
  const key = recordKey();
  if (!key) return Buffer.alloc(0);
  return Buffer.from(hkdfSync("sha256", key, clinicId.toLowerCase(), "patient-stair log", sizes.key));
}

/**
 * A mark of a text that this installation made for a clinic and a purpose: whoever hands both back shows that the text is as it was.
 *
 * Source: HMAC-SHA-256, RFC 2104.
 */
export const markOf = (clinicId: string, purpose: string, text: string): string =>
  createHmac("sha256", chainKey(clinicId))
    .update(JSON.stringify([purpose, text]))
    .digest("base64url");

/**
 * Seals bytes with a clinic's key, for one place only: under another id they cannot be opened.
 *
 * @param open base64 @returns base64 of nonce, tag and what is sealed; null where no key is set
 * Source: AES-GCM, NIST SP 800-38D.
 */
export function seal(clinicId: string, id: string, open: string): string | null {
  const key = recordKey();
  if (!key) return null;
  const iv = randomBytes(sizes.iv);
  const cipher = createCipheriv(algorithm, clinicKey(key, clinicId), iv).setAAD(
    Buffer.from(id.toLowerCase()),
  );
  const sealed = Buffer.concat([cipher.update(Buffer.from(open, "base64")), cipher.final()]);
  return Buffer.concat([iv, cipher.getAuthTag(), sealed]).toString("base64");
}

/** What was sealed, in base64; null where the key is another one, or the bytes were altered. */
export function unseal(clinicId: string, id: string, sealed: string): string | null {
  const key = recordKey();
  if (!key) return null;
  const bytes = Buffer.from(sealed, "base64");
  const [iv, tag] = [bytes.subarray(0, sizes.iv), bytes.subarray(sizes.iv, sizes.iv + sizes.tag)];
  try {
    const decipher = createDecipheriv(algorithm, clinicKey(key, clinicId), iv)
      .setAAD(Buffer.from(id.toLowerCase()))
      .setAuthTag(tag);
    return Buffer.concat([decipher.update(bytes.subarray(sizes.iv + sizes.tag)), decipher.final()]).toString(
      "base64",
    );
  } catch {
    return null;
  }
}
