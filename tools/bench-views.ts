import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { gzipSync } from "node:zlib";

/** Most that a view may send before it answers to the hand: scripts and styles, gzip, kilobytes. */
const mostKb = 150;

/** Views by the name of the component that a page brings to life. */
const views = [
  "Caseload",
  "StairPage",
  "SessionPage",
  "PlanPage",
  "LabPage",
  "MeasuresPage",
  "LiftsPage",
  "HistoryPage",
  "GatePage",
  "IntakePage",
  "LibraryPage",
  "ExercisePage",
  "OwnExerciseForm",
  "RecordPage",
  "SchoolsPage",
  "DocumentPage",
  "CallsForm",
  "SignIn",
  "PhonesPage",
  "HandoutPage",
  "WeekPage",
  "PhonePage",
];

/** Views under the head of a patient, which comes with them. */
const ofPatients = [
  "StairPage",
  "SessionPage",
  "PlanPage",
  "LabPage",
  "MeasuresPage",
  "LiftsPage",
  "HistoryPage",
  "GatePage",
  "LibraryPage",
  "RecordPage",
  "SchoolsPage",
  "DocumentPage",
  "PhonesPage",
  "HandoutPage",
  "WeekPage",
];
/** Sheets that are sent with one view alone, by the beginning of their names. */
const stylesOf: Readonly<Record<string, string>> = {
  LabPage: "lab.",
  HandoutPage: "handout.",
  PhonePage: "PhonePage.",
};
/** Views without the bar of somebody who works here. */
const withoutBar = ["SignIn", "PhonePage"];

/** Prints what each view loads before it answers, and what it brings later (figures, dialogs), against the bound. */
export function printViewSizes(dist: string): void {
  const folder = path.join(dist, "client/_astro");
  const names = readdirSync(folder).filter((name) => /\.(js|css)$/.test(name));
  const text = new Map(names.map((name) => [name, readFileSync(path.join(folder, name))]));
  const kb = (files: Iterable<string>) =>
    [...files].reduce((sum, name) => sum + gzipSync(text.get(name) ?? "", { level: 9 }).length, 0) / 1000;
  const named = (start: string) =>
    names.filter((name) => name.startsWith(`${start}.`) && name.endsWith(".js"));
  const reached = (roots: readonly string[], links: RegExp): Set<string> => {
    const seen = new Set<string>();
    const visit = (name: string) => {
      const source = text.get(name);
      if (seen.has(name) || !source) return;
      seen.add(name);
      for (const [, other = ""] of source.toString().matchAll(links)) visit(other);
    };
    roots.forEach(visit);
    return seen;
  };
  const sheets = names.filter((name) => name.endsWith(".css"));
  const ofOneView = Object.values(stylesOf);
  console.log(`\nviews, scripts and styles, gzip (bound ${mostKb} kB before it answers)`);
  for (const view of views) {
    const head = ofPatients.includes(view) ? named("PatientFrame") : [];
    const bar = withoutBar.includes(view) ? [] : named("TopBar");
    const roots = [...named(view), ...named("client"), ...bar, ...head];
    // The styles of all views, and a view's own.
    const styles = sheets.filter(
      (name) => name.startsWith(stylesOf[view] ?? "index.") || !ofOneView.some((own) => name.startsWith(own)),
    );
    const first = reached(roots, /(?:from|import)\s*"\.\/([^"]+\.js)"/g);
    const all = reached(roots, /"\.\/([^"]+\.js)"/g);
    const before = kb([...first, ...styles]);
    const later = kb([...all].filter((name) => !first.has(name)));
    const verdict = before <= mostKb ? "within" : "OUTSIDE";
    console.log(
      `  ${view.padEnd(16)} ${before.toFixed(1).padStart(6)} kB ${verdict}, later ${later.toFixed(1)} kB`,
    );
  }
}
