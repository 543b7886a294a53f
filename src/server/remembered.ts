const forgetting: (() => void)[] = [];

/**
 * Says how something is forgotten that a process remembers of the database. What is remembered is held against a version or a
 * number whenever it is used; only a database that was put back under a running process can have the same ones again for
 * something else.
 */
export function forgottenBy(forget: () => void): void {
  forgetting.push(forget);
}

/** Forgets all that this process remembers of the database; whatever is asked for next is read anew. */
export function forgetAll(): void {
  for (const forget of forgetting) forget();
}
