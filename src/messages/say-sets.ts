import type { Exercise } from "~/core/exercise/exercise";
import type { SetRecord } from "~/core/response/session-record";
import { label, sayNumber, sayWeight, t } from "./say";

type Faults = Exercise["faults"];

/**
 * The sets of one item in a line, side by side: 3 × 12 right; 1 × 11, 2 × 12 left; the worst pain, the highest effort and
 * each fault that was seen.
 */
export function saySets(
  { name, faults }: { name: string; faults: Faults },
  sets: readonly SetRecord[],
): string {
  const sides = grouped(sets, ({ side }) => side);
  const work = [...sides].map(([side, ofSide]) => {
    const alike = [...grouped(ofSide, sayWork)].map(([text, group]) => {
      const force = sayForces(group);
      return `${group.length} × ${text}${force && ` ${t("record.at", { load: force })}`}`;
    });
    return [alike.join(", "), side === "both" ? "" : t(`side.${side}`)].filter(Boolean).join(" ");
  });
  return [
    t("record.setsLine", {
      exercise: name,
      work: work.join("; "),
      pain: Math.max(...sets.map((set) => set.painDuring)),
      effort: Math.max(...sets.map((set) => set.effort)),
    }),
    ...sayPainPatterns(sets),
    ...sayFaults(faults, sets),
  ].join("; ");
}

/** What one set was, without its side, and without its force, which differs from set to set. */
function sayWork(set: SetRecord): string {
  const { reps, holdSeconds, contacts, minutes, loadKg, limit } = set;
  const held =
    holdSeconds === undefined || (reps !== undefined && holdSeconds <= 1) ? "" : `${holdSeconds} s`;
  const parts = [
    reps === undefined ? held : [String(reps), held && t("record.held", { held })].filter(Boolean).join(" "),
    contacts === undefined ? "" : t("dose.contacts", { contacts }),
    minutes === undefined ? "" : t("dose.minutes", { minutes }),
    loadKg ? t("record.at", { load: sayWeight(loadKg) }) : "",
    limit ? t("record.limitedBy", { limit: t(`limit.${limit.kind}`) }) : "",
  ];
  return parts.filter(Boolean).join(" ");
}

function sayForces(sets: readonly SetRecord[]): string {
  const forces = sets.map((set) => set.forceN).filter((force): force is number => force !== undefined);
  if (forces.length === 0) return "";
  const [low, high] = [Math.min(...forces), Math.max(...forces)].map(sayNumber);
  return low === high ? `${low} N` : `${low}–${high} N`;
}

/** What the pain came with, each pattern once, with the angle where it was named. */
function sayPainPatterns(sets: readonly SetRecord[]): string[] {
  const words = sets.flatMap(({ painWith, painArc }) => {
    if (painWith === undefined) return [];
    const what = t(`session.painWith.${painWith}`);
    if (!painArc) return [t("record.painWith", { what })];
    const { fromDeg, toDeg } = painArc;
    return [
      toDeg === undefined
        ? t("record.painFrom", { what, from: fromDeg })
        : t("record.painBetween", { what, from: fromDeg, to: toDeg }),
    ];
  });
  return [...new Set(words)];
}

/** Faults of the sets, each once with the repetitions it spoiled. */
function sayFaults(faults: Faults, sets: readonly SetRecord[]): string[] {
  const words = sets.flatMap((set) =>
    set.faults.map(({ fault, severity, reps }) =>
      t(`record.fault.${severity}`, {
        fault: faults.find(({ code }) => code === fault)?.name ?? fault,
        reps: typeof reps === "number" ? reps : label("record.spoiled", reps),
      }),
    ),
  );
  return [...new Set(words)];
}

function grouped<K extends string>(
  sets: readonly SetRecord[],
  key: (set: SetRecord) => K,
): Map<K, SetRecord[]> {
  const groups = new Map<K, SetRecord[]>();
  for (const set of sets) groups.set(key(set), [...(groups.get(key(set)) ?? []), set]);
  return groups;
}
