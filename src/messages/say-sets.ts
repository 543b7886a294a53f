import type { SetRecord } from "~/core/response/session-record";
import { sayNumber, t } from "./say";

/** The sets of one item in a line: 5 × 10 s, 108–115 N; worst pain, highest effort. */
export function saySets(exercise: string, sets: readonly SetRecord[]): string {
  const alike = new Map<string, SetRecord[]>();
  for (const set of sets) {
    const work = sayWork(set);
    alike.set(work, [...(alike.get(work) ?? []), set]);
  }
  const work = [...alike].map(([text, group]) => `${group.length} × ${text}${sayForces(group)}`);
  return t("record.setsLine", {
    exercise,
    work: work.join("; "),
    pain: Math.max(...sets.map((set) => set.painDuring)),
    effort: Math.max(...sets.map((set) => set.effort)),
  });
}

/** What one set was, without its force, which differs from set to set. */
function sayWork(set: SetRecord): string {
  const { reps, holdSeconds, contacts, minutes, loadKg, side, limit } = set;
  const held =
    holdSeconds === undefined || (reps !== undefined && holdSeconds <= 1) ? "" : `${holdSeconds} s`;
  const parts = [
    reps === undefined ? held : [String(reps), held && t("record.held", { held })].filter(Boolean).join(" "),
    contacts === undefined ? "" : t("dose.contacts", { contacts }),
    minutes === undefined ? "" : t("dose.minutes", { minutes }),
    loadKg ? t("record.at", { load: t("dose.load", { kg: sayNumber(loadKg) }) }) : "",
    side === "both" ? "" : t(`side.${side}`),
    limit ? t(`limit.${limit.kind}`) : "",
  ];
  return parts.filter(Boolean).join(" ");
}

function sayForces(sets: readonly SetRecord[]): string {
  const forces = sets.map((set) => set.forceN).filter((force): force is number => force !== undefined);
  if (forces.length === 0) return "";
  const [low, high] = [Math.min(...forces), Math.max(...forces)].map(sayNumber);
  return low === high ? `, ${low} N` : `, ${low}–${high} N`;
}
