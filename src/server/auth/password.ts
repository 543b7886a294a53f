import { hash, verify } from "@node-rs/argon2";

/** argon2id with the package's defaults raised to 19 MiB and two passes (OWASP password storage advice, recalled). */
const options = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export function hashPassword(password: string): Promise<string> {
  return hash(password, options);
}

let decoy: Promise<string> | undefined;

/** Checks a password; without a hash it works just as long on a decoy and answers no. */
export async function passwordFits(stored: string | null, password: string): Promise<boolean> {
  decoy ??= hashPassword("no account has this password");
  const fits = await verify(stored ?? (await decoy), password);
  return stored !== null && fits;
}
