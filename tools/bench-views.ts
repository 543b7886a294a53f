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
];

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
  const styles = names.filter((name) => name.endsWith(".css"));
  console.log(`\nviews, scripts and styles, gzip (bound ${mostKb} kB before it answers)`);
  for (const view of views) {
    const head = ofPatients.includes(view) ? named("PatientFrame") : [];
    const bar = view === "SignIn" ? [] : named("TopBar");
    const roots = [...named(view), ...named("client"), ...bar, ...head];
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
