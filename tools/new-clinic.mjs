// A clinic and its first lead: `npm run new-clinic`, which asks; or all four behind it: clinic, time zone, lead's name, address.
import { createInterface } from "node:readline/promises";
import { ensurePackages } from "./machine/packages.mjs";
import { runTool } from "./machine/prepare.mjs";
import { withOwner } from "./machine/reach-database.mjs";
import { inRepository } from "./machine/root.mjs";
import { runPlainly, say } from "./machine/say.mjs";

const questions = [
  "Name of the clinic: ",
  "Its time zone, such as Europe/Vienna: ",
  "Name of the first lead: ",
  "Their e-mail address, with which they sign in: ",
];

await runPlainly(async () => {
  await ensurePackages();
  const given = process.argv.slice(2);
  if (given.length < questions.length) {
    const ask = createInterface({ input: process.stdin, output: process.stdout });
    for (const question of questions.slice(given.length)) given.push(await ask.question(question));
    ask.close();
  }
  await withOwner((url) => {
    const env = { DATABASE_OWNER_URL: url };
    process.stdout.write(runTool("prepare-database.ts", [inRepository("db")], env));
    const token = runTool("new-clinic.ts", given, env).trim();
    say(
      "the clinic is made. Within a day its lead opens this behind the product's address, and sets a password:",
    );
    process.stdout.write(`\n/set-password#${token}\n\n`);
    say("then: whom to call, colleagues, and the rest under 'Clinic'");
  });
});
