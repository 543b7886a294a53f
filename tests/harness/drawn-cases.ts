import fc from "fast-check";

/**
 * Properties are asked of cases drawn from one seed, so that a commit has one answer on every machine and every run. Other
 * seeds have a command of their own, `npm run test:seeds`; what it finds becomes an example in the test it was found by.
 */
fc.configureGlobal({ seed: Number(process.env["CASES_SEED"] ?? 1) });
