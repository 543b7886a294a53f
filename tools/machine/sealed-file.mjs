import { createCipheriv, createDecipheriv, randomBytes } from "node:crypto";
import { Transform } from "node:stream";
import { PlainFailure } from "./say.mjs";

// A file sealed with AES-256-GCM (NIST SP 800-38D): eight letters that say so, the nonce, what is sealed, and the tag at its end.
const mark = Buffer.from("STAIRBK1");
const sizes = { key: 32, iv: 12, tag: 16 };

/** The key of backups, 32 bytes in base64; null where none is set: then they are not sealed. */
export function backupKey() {
  const given = process.env.BACKUP_KEY;
  if (!given) return null;
  const key = Buffer.from(given, "base64");
  if (key.length !== sizes.key)
    throw new PlainFailure("BACKUP_KEY must be 32 bytes in base64: openssl rand -base64 32 makes one.");
  return key;
}

/** Seals what flows through. */
export function sealing(key) {
  const iv = randomBytes(sizes.iv);
  const cipher = createCipheriv("aes-256-gcm", key, iv);
  let begun = false;
  return new Transform({
    transform(chunk, _encoding, done) {
      if (!begun) this.push(Buffer.concat([mark, iv]));
      begun = true;
      done(null, cipher.update(chunk));
    },
    flush(done) {
      if (!begun) this.push(Buffer.concat([mark, iv]));
      this.push(cipher.final());
      done(null, cipher.getAuthTag());
    },
  });
}

/** Whether a file begins as a sealed one does. */
export const isSealed = (head) => head.subarray(0, mark.length).equals(mark);

/**
 * Opens what flows through. The last bytes are its tag: that nothing was altered is known at the end alone, so what came out before
 * is to be thrown away where this fails.
 */
export function opening(key) {
  let held = Buffer.alloc(0);
  let decipher = null;
  return new Transform({
    transform(chunk, _encoding, done) {
      held = Buffer.concat([held, chunk]);
      const head = mark.length + sizes.iv;
      if (!decipher && held.length >= head) {
        decipher = createDecipheriv("aes-256-gcm", key, held.subarray(mark.length, head));
        held = held.subarray(head);
      }
      if (!decipher || held.length <= sizes.tag) return done();
      const ready = held.subarray(0, held.length - sizes.tag);
      held = held.subarray(held.length - sizes.tag);
      done(null, decipher.update(ready));
    },
    flush(done) {
      try {
        decipher.setAuthTag(held);
        this.push(decipher.final());
        done();
      } catch {
        done(
          new PlainFailure("The file cannot be opened: another BACKUP_KEY, or it was altered or cut off."),
        );
      }
    },
  });
}
