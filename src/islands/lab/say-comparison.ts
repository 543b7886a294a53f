import type { Comparison, LoadChange } from "~/core/load/compare-loads";
import type { LoadKind } from "~/core/load/load-kind";
import { t } from "~/messages/say";

/** Changes of less than this are none, per cent; bends that differ by less are the same, degrees. */
const sameWithin = { percent: 3, deg: 2 } as const;

const found = ({ changes }: Comparison, kind: LoadKind): LoadChange | undefined =>
  changes.find((change) => change.kind === kind);

/** In one sentence what a form changes: bend, kneecap, hip. */
export function sayComparison(comparison: Comparison): string {
  const { before, after } = comparison.bend;
  const bend =
    Math.abs(after - before) < sameWithin.deg
      ? t("lab.sameBend", { deg: Math.round(after) })
      : t("lab.otherBend", { before: Math.round(before), after: Math.round(after) });
  return t("lab.sentence", {
    bend,
    stress: sayPeak(comparison, "stress"),
    hip: sayPeak(comparison, "hip"),
  });
}

const peakWords = {
  stress: {
    more: "lab.stressMore",
    less: "lab.stressLess",
    same: "lab.stressSame",
    unknown: "lab.stressUnknown",
  },
  hip: { more: "lab.hipMore", less: "lab.hipLess", same: "lab.hipSame", unknown: "lab.hipUnknown" },
} as const;

function sayPeak(comparison: Comparison, kind: keyof typeof peakWords): string {
  const words = peakWords[kind];
  const change = found(comparison, kind);
  if (!change || change.percent === null) return t(words.unknown);
  const percent = Math.round(Math.abs(change.percent));
  if (percent < sameWithin.percent) return t(words.same);
  return t(change.percent > 0 ? words.more : words.less, { percent });
}

/** The change of one kind in words: 41 % less. */
export function sayChange({ percent, before, after }: LoadChange): string {
  if (percent === null) return Math.abs(after - before) < 0.05 ? t("lab.same") : t("lab.alsoNone");
  const size = Math.round(Math.abs(percent));
  if (size < sameWithin.percent) return t("lab.same");
  return t(percent > 0 ? "lab.percentMore" : "lab.percentLess", { percent: size });
}

/** What a patient is told, without numbers. */
export function tellPatient(comparison: Comparison): string {
  const stress = found(comparison, "stress")?.percent ?? 0;
  const hip = found(comparison, "hip")?.percent ?? 0;
  const knee =
    stress <= -40
      ? t("lab.tell.stress.muchLess")
      : stress <= -10
        ? t("lab.tell.stress.less")
        : stress < 10
          ? t("lab.tell.stress.same")
          : t("lab.tell.stress.more");
  const hips =
    hip >= 10 ? t("lab.tell.hip.more") : hip <= -10 ? t("lab.tell.hip.less") : t("lab.tell.hip.same");
  return `${knee} ${hips}`;
}
