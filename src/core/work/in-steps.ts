/** Long work that can be interrupted between its steps, so that whoever does it lets others in; it answers at its end. */
export type InSteps<T> = Generator<undefined, T, undefined>;

/**
 * Does each step of `entries` and hands over what came of them, oldest first; between two others may be let in.
 *
 * @example finished(eachInSteps([1, 2, 3], (n) => n * n)) // [1, 4, 9]
 */
export function* eachInSteps<E, T>(entries: Iterable<E>, work: (entry: E) => T): InSteps<T[]> {
  const done: T[] = [];
  for (const entry of entries) {
    done.push(work(entry));
    yield;
  }
  return done;
}

/**
 * Does all of it in one go, where nobody waits meanwhile.
 *
 * @example finished(eachInSteps("ab", (letter) => letter.toUpperCase())) // ["A", "B"]
 */
export function finished<T>(work: InSteps<T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
