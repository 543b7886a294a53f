/** As many bytes at a time as a call takes. */
const chunk = 8192;

/**
 * Bytes as text.
 *
 * @example toBase64(Uint8Array.from([112, 115])) // "cHM="
 * Source: RFC 4648.
 */
export function toBase64(bytes: Uint8Array): string {
  let text = "";
  for (let n = 0; n < bytes.length; n += chunk) text += String.fromCharCode(...bytes.subarray(n, n + chunk));
  return btoa(text);
}

/**
 * The bytes of such a text.
 *
 * @throws where it is none
 * @example fromBase64("cHM=").length // 2
 * Source: RFC 4648.
 */
export const fromBase64 = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(text), (char) => char.charCodeAt(0));
