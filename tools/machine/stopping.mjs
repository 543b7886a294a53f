import { say } from "./say.mjs";

/**
 * What a command has begun and has to end: in the opposite order, when it is asked to, or when something fails.
 *
 * @param first ends last
 * @returns `add(stop)`, `wasAsked()`, `endAll()`, and `exit(code)`, which does that and leaves
 */
export function stopsOf(first) {
  const stops = [first];
  let asked = false;
  const endAll = async () => {
    for (const stop of stops.reverse()) await stop();
  };
  const exit = async (code) => {
    await endAll();
    process.exit(code);
  };
  for (const name of ["SIGINT", "SIGTERM"]) {
    process.on(name, () => {
      if (asked) return;
      asked = true;
      say("stopping");
      void exit(0);
    });
  }
  return { add: (stop) => void stops.push(stop), wasAsked: () => asked, endAll, exit };
}
