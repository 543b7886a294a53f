import type { SetRecord } from "~/core/response/session-record";
import { t } from "~/messages/say";

/** The sets of one item in a line: 5 × 10 s, 110 N; worst pain, highest effort. */
export function saySets(exercise: string, sets: readonly SetRecord[]): string {
  const texts = sets.map(sayOne);
  const groups: { text: string; count: number }[] = [];
  for (const text of texts) {
    const last = groups.at(-1);
    if (last?.text === text) last.count += 1;
    else groups.push({ text, count: 1 });
  }
  const alternating = groups.length > 2 && new Set(texts).size <= 2;
  const work = alternating
    ? [...new Set(texts)].map((text) => `${texts.filter((x) => x === text).length} × ${text}`)
    : groups.map(({ text, count }) => `${count} × ${text}`);
  return t("record.setsLine", {
    exercise,
    work: work.join(", "),
    pain: Math.max(...sets.map((set) => set.painDuring)),
    effort: Math.max(...sets.map((set) => set.effort)),
  });
}

function sayOne(set: SetRecord): string {
  const parts = [
    set.reps === undefined ? "" : `${set.reps}`,
    set.holdSeconds === undefined ? "" : `${set.holdSeconds} s`,
    set.contacts === undefined ? "" : t("dose.contacts", { contacts: set.contacts }),
    set.minutes === undefined ? "" : `${set.minutes} min`,
    set.forceN === undefined ? "" : `${set.forceN} N`,
    set.loadKg === undefined ? "" : `${set.loadKg} kg`,
    set.side === "both" ? "" : t(`side.${set.side}`),
    set.limit ? t(`limit.${set.limit.kind}`) : "",
  ];
  return parts.filter(Boolean).join(" ");
}
