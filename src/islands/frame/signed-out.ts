/** Asks whoever is at the page to sign in again. @returns whether they did */
type Ask = () => Promise<boolean>;

let ask: Ask | null = null;
let asking: Promise<boolean> | null = null;

/** Says who asks when a call finds that nobody is signed in any more. @returns takes it back */
export function askWhenSignedOut(by: Ask): () => void {
  ask = by;
  return () => {
    if (ask === by) ask = null;
  };
}

/** Asks once, however many calls find it out at the same time. @returns false where nobody asks, or nobody signed in */
export function signInAgain(): Promise<boolean> {
  if (!ask) return Promise.resolve(false);
  asking ??= ask().finally(() => {
    asking = null;
  });
  return asking;
}
