import { createHash, randomBytes } from "node:crypto";

/** A random token of 256 bits, for a cookie or a link. */
export const newToken = (): string => randomBytes(32).toString("base64url");

/** What is kept of a token or a recovery code: nothing leads back from it. */
export const hashToken = (token: string): Buffer => createHash("sha256").update(token).digest();

/** A code to be written on paper: ten letters and digits that are not taken for one another, in two halves. */
export function newRecoveryCode(): string {
  const letters = "abcdefghjkmnpqrstuvwxyz23456789";
  const ten = [...randomBytes(10)].map((byte) => letters[byte % letters.length]).join("");
  return `${ten.slice(0, 5)}-${ten.slice(5)}`;
}
