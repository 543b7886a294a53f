// Builds the application for production, as the start command does: `npm run build`.
import { ensureBuild } from "./machine/build.mjs";
import { runPlainly } from "./machine/say.mjs";

await runPlainly(ensureBuild);
