import { Secret, TOTP } from "otpauth";

const stepSeconds = 30;
/** How many steps before and after the present one count: clocks of telephones are not exact. */
const steps = 1;

const totp = (secret: string, account = "") =>
  new TOTP({
    issuer: "Patient Stair",
    label: account,
    algorithm: "SHA1",
    digits: 6,
    period: stepSeconds,
    secret: Secret.fromBase32(secret),
  });

/** A new secret of 160 bits, in base 32 (RFC 4226, R6). */
export const newSecret = (): string => new Secret({ size: 20 }).base32;

/** What an authenticator app is given. */
export const addressFor = (secret: string, account: string): string => totp(secret, account).toString();

/**
 * The step of time whose code this is, by RFC 6238; null where it is the code of none that counts.
 *
 * @param secret in base 32; null where it cannot be opened: then no code fits
 * @param after the last step that was taken: no step is taken twice (RFC 6238, 5.2)
 */
export function stepOfCode(secret: string | null, code: string, at: string, after: number): number | null {
  if (secret === null) return null;
  const delta = totp(secret).validate({ token: code, timestamp: Date.parse(at), window: steps });
  if (delta === null) return null;
  const step = Math.floor(Date.parse(at) / 1000 / stepSeconds) + delta;
  return step > after ? step : null;
}
