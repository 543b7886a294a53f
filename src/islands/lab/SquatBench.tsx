import { useState } from "react";
import type { LoadBody } from "~/contract/load-body";
import { allowedBend } from "~/core/mechanics/allowed-bend";
import { boxHeight } from "~/core/mechanics/box-height";
import { sitBack } from "~/core/mechanics/sit-back";
import { squatLinkage } from "~/core/mechanics/squat-linkage";
import { typedNumber } from "~/islands/frame/typed-number";
import { label, sayLength, sayNumber, t } from "~/messages/say";
import BenchFigure from "./BenchFigure";
import AngleSlider from "./AngleSlider";
import BenchSlider from "./BenchSlider";
import { askOf, benchRange, sizeOf, startingBench, type Bench } from "./bench";
import { sayChange, sayComparison } from "./say-comparison";
import { compareHeld } from "./compare-held";

interface Props {
  body: LoadBody;
  left: boolean;
}

const leastMPa = 0.1;
const mostMPa = 50;

/** A squat held still, pulled about by its joints: where the load goes, what stays below a ceiling, two set-ups side by side. */
export default function SquatBench({ body, left }: Props) {
  const [bench, setBench] = useState<Bench>(startingBench);
  const [kept, setKept] = useState<Bench | null>(null);
  const [ceilingText, setCeiling] = useState("1.5");
  const [withBox, setWithBox] = useState(false);
  const [noForm, setNoForm] = useState<string | null>(null);
  const set = (part: Partial<Bench>) => {
    setBench((now) => ({ ...now, ...part }));
    setNoForm(null);
  };
  const ask = askOf(body, bench);
  const now = squatLinkage(ask);
  const before = kept ? squatLinkage(askOf(body, kept)) : null;
  const comparison = before?.feasible && now.feasible && kept ? compareHeld(before, kept, now, bench) : null;
  const typed = typedNumber(ceilingText);
  const ceiling = typed !== null && typed >= leastMPa && typed <= mostMPa ? typed : null;
  const { kneeFlexionDeg: _bend, ...standing } = ask;
  const bends = ceiling === null ? null : allowedBend({ ...standing, maxStressMPa: ceiling }).intervals[0];
  const findForm = () => {
    if (ceiling === null) return;
    const { shankInclinationDeg: _shank, ...searched } = ask;
    const found = sitBack({
      ...searched,
      kneeFlexionDeg: Math.min(110, bench.kneeDeg),
      maxStressMPa: ceiling,
    });
    if (found.feasible) set({ shankDeg: found.shankInclinationDeg });
    else setNoForm(t("lab.bench.noForm", { ceiling: sayNumber(ceiling), reason: found.reason }));
  };
  const box = boxHeight({
    ...sizeOf(body),
    kneeFlexionDeg: bench.kneeDeg,
    shankInclinationDeg: bench.shankDeg,
  });
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_25rem]">
      <section className="bg-base-100 border-base-300 rounded-box flex flex-col border p-3">
        <BenchFigure
          body={body}
          bench={bench}
          held={now}
          left={left}
          boxM={withBox ? Math.max(0, box.boxCm / 100) : null}
          onBench={set}
        />
        <p className="text-base-content/75 text-sm">{t("lab.bench.drag")}</p>
        {!now.feasible && (
          <p role="alert" className="text-warning font-semibold">
            {t("lab.bench.cannot", { reason: now.reason })}
          </p>
        )}
      </section>
      <section className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-3">
        {comparison && (
          <p className="text-lg leading-snug font-semibold" aria-live="polite" data-testid="bench-sentence">
            {sayComparison(comparison)}
          </p>
        )}
        <AngleSlider
          says={t("lab.bench.knee")}
          deg={bench.kneeDeg}
          range={benchRange.knee}
          onDeg={(kneeDeg) => set({ kneeDeg })}
        />
        <AngleSlider
          says={t("lab.bench.shank")}
          deg={bench.shankDeg}
          range={benchRange.shank}
          onDeg={(shankDeg) => set({ shankDeg })}
        />
        <BenchSlider
          says={t("lab.bench.pressure")}
          value={bench.pressurePoint}
          range={[0, 1]}
          step={0.05}
          onValue={(pressurePoint) => set({ pressurePoint })}
          shown={t("lab.placeValue", { percent: Math.round(100 * bench.pressurePoint) })}
        />
        <div className="grid grid-cols-2 items-end gap-2 text-sm sm:grid-cols-4">
          <label>
            {t("lab.bench.stance")}
            <select
              className="select w-full"
              value={bench.stance}
              onChange={(event) => set({ stance: event.target.value as Bench["stance"] })}
            >
              {(["double", "single"] as const).map((stance) => (
                <option key={stance} value={stance}>
                  {label("lab.bench", stance)}
                </option>
              ))}
            </select>
          </label>
          <label>
            {t("lab.bench.freeLeg")}
            <select
              className="select w-full"
              value={bench.freeLeg}
              disabled={bench.stance === "double"}
              onChange={(event) => set({ freeLeg: event.target.value as Bench["freeLeg"] })}
            >
              {(["front", "beside", "behind"] as const).map((place) => (
                <option key={place} value={place}>
                  {label("lab.bench", place)}
                </option>
              ))}
            </select>
          </label>
          {(["barKg", "handsKg"] as const).map((key) => (
            <label key={key}>
              {t(key === "barKg" ? "lab.bench.bar" : "lab.bench.hands")}
              <input
                type="number"
                className="input w-full"
                min={0}
                max={500}
                value={bench[key]}
                onChange={(event) => set({ [key]: Math.min(500, Math.max(0, Number(event.target.value))) })}
              />
            </label>
          ))}
        </div>
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox"
            checked={bench.armsForward}
            onChange={(event) => set({ armsForward: event.target.checked })}
          />
          {t("lab.bench.arms")}
        </label>
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox"
            checked={withBox}
            onChange={(event) => setWithBox(event.target.checked)}
          />
          {t("lab.bench.withBox")}
        </label>
        <div className="flex flex-wrap items-end gap-2">
          <label className="text-sm">
            {t("lab.bench.ceiling")}{" "}
            <input
              className="input w-20"
              inputMode="decimal"
              value={ceilingText}
              onChange={(event) => setCeiling(event.target.value)}
            />
          </label>
          <button type="button" className="btn btn-primary" disabled={ceiling === null} onClick={findForm}>
            {t("lab.bench.sitBack")}
          </button>
          <button type="button" className="btn" onClick={() => setKept(kept ? null : bench)}>
            {t(kept ? "lab.bench.drop" : "lab.bench.keep")}
          </button>
        </div>
        <p className="text-sm" aria-live="polite">
          {noForm ??
            (ceiling === null
              ? t("lab.bench.ceilingRange", { least: leastMPa, most: mostMPa })
              : bends
                ? t("lab.bench.allowed", {
                    ceiling: sayNumber(ceiling),
                    from: Math.round(bends[0]),
                    to: Math.round(bends[1]),
                  })
                : t("lab.bench.allowedNone", { ceiling: sayNumber(ceiling) }))}
        </p>
        {now.feasible && (
          <table className="w-full text-sm" data-testid="bench-table">
            {comparison && (
              <thead>
                <tr className="text-right">
                  <td />
                  <th scope="col" className="px-1 font-semibold">
                    {t("lab.bench.kept")}
                  </th>
                  <th scope="col" className="px-1 font-semibold">
                    {t("lab.bench.now")}
                  </th>
                  <th scope="col" className="px-1 font-semibold">
                    {t("lab.change")}
                  </th>
                </tr>
              </thead>
            )}
            <tbody>
              {(
                [
                  ["stress", now.patellofemoralStressMPa],
                  ["knee", now.kneeMomentNm],
                  ["hip", now.hipMomentNm],
                  ["ankle", now.ankleMomentNm],
                ] as const
              ).map(([kind, value]) => {
                const change = comparison?.changes.find((one) => one.kind === kind);
                return (
                  <tr key={kind} className="border-base-300 border-t text-right tabular-nums">
                    <th scope="row" className="py-1 text-left font-normal">
                      {label("lab.kind", kind)} ({label("lab.unit", kind)})
                    </th>
                    {comparison && <td className="px-1">{change ? sayNumber(change.before) : ""}</td>}
                    <td className="px-1 font-semibold">
                      {value === null ? t("lab.unknown") : sayNumber(value)}
                    </td>
                    {comparison && <td className="px-1">{change ? sayChange(change) : ""}</td>}
                  </tr>
                );
              })}
              {(
                [
                  ["lab.bench.lean", t("lab.degree", { value: Math.round(now.trunkLeanDeg) })],
                  ["lab.bench.past", sayLength(Math.round(now.kneePastToeCm))],
                  ["lab.bench.hipHeight", sayLength(Math.round(now.hipHeightCm))],
                  ["lab.bench.box", sayLength(Math.round(box.boxCm))],
                  [
                    "lab.bench.ratio",
                    now.hipKneeRatio === null ? t("lab.unknown") : sayNumber(now.hipKneeRatio),
                  ],
                ] as const
              ).map(([says, value]) => (
                <tr key={says} className="border-base-300 border-t text-right tabular-nums">
                  <th scope="row" className="py-1 text-left font-normal">
                    {t(says)}
                  </th>
                  {comparison && <td />}
                  <td className="px-1 font-semibold">{value}</td>
                  {comparison && <td />}
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    </div>
  );
}
