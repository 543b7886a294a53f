/** One line of progress for the person at the terminal. */
export function say(text) {
  process.stdout.write(`· ${text}\n`);
}

/** A failure whose message tells the reader what to do; printed without a stack. */
export class PlainFailure extends Error {}

/** Runs `main`; a PlainFailure ends in one sentence, anything else keeps its stack. */
export async function runPlainly(main) {
  try {
    await main();
  } catch (failure) {
    const text = failure instanceof PlainFailure ? failure.message : failure?.stack || failure;
    process.stderr.write(`\n✗ ${text}\n`);
    process.exit(1);
  }
}
