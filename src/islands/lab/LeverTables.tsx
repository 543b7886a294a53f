import { useState } from "react";
import type { LoadBody } from "~/contract/load-body";
import { isolatedMoment } from "~/core/mechanics/isolated-moment";
import { kneelingLowering } from "~/core/mechanics/kneeling-lowering";
import { typedNumber } from "~/islands/frame/typed-number";
import { massWithin, sizeOf } from "./bench";
import { stepForBend } from "~/islands/prescribe/step-for-bend";
import { boxForBend } from "~/islands/prescribe/box-for-bend";
import { label, sayLength, sayNumber, t } from "~/messages/say";

const boxBends = [30, 45, 60, 75, 90, 105] as const;
const sittingDegs = [0, 15, 30, 45, 60, 75, 90] as const;
const lyingDegs = [0, 10, 20, 30, 40] as const;
const loweringDegs = [10, 20, 30, 40, 50, 60, 70] as const;
const mostKg = 100;
const mostLoweringDeg = 90;

const sayHeight = (cm: number | null) => (cm === null ? "–" : sayLength(cm));

/** What can be read off for this person: boxes by knee bend, where a weight is hardest, lowering from kneeling. */
export default function LeverTables({ body }: { body: LoadBody }) {
  const [weight, setWeight] = useState("2");
  const typed = typedNumber(weight);
  const weightKg = typed !== null && typed >= 0 && typed <= mostKg ? typed : 0;
  const { heightM } = body;
  const size = sizeOf(body);
  const [lost, setLost] = useState("");
  const lostDeg = typedNumber(lost);
  const lostNm =
    lostDeg !== null && lostDeg >= 0 && lostDeg <= mostLoweringDeg
      ? kneelingLowering({ bodyMassKg: massWithin(body), heightM, forwardAngleDeg: lostDeg })
          .kneeFlexorMomentNm
      : null;
  const bodyMassKg = massWithin(body);
  const card = "bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-3";
  return (
    <div className="grid gap-4 md:grid-cols-2">
      <section className={card} data-testid="boxes">
        <h2 className="text-lg font-semibold">{t("lab.boxes")}</h2>
        <p className="text-sm">{t("lab.boxes.help")}</p>
        <table className="w-full max-w-sm">
          <thead>
            <tr className="text-left">
              <th scope="col">{t("lab.boxes.bend")}</th>
              <th scope="col" className="text-right">
                {t("lab.boxes.box")}
              </th>
              <th scope="col" className="text-right">
                {t("lab.boxes.step")}
              </th>
            </tr>
          </thead>
          <tbody>
            {boxBends.map((deg) => (
              <tr key={deg} className="border-base-300 border-t tabular-nums">
                <td className="py-1">{t("lab.degree", { value: deg })}</td>
                <td className="text-right font-semibold">{sayHeight(boxForBend(size, deg))}</td>
                <td className="text-right font-semibold">{sayHeight(stepForBend(size, deg))}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section className={card} data-testid="lowering">
        <h2 className="text-lg font-semibold">{t("lab.lowering")}</h2>
        <p className="text-sm">{t("lab.lowering.help")}</p>
        <Moments
          says={t("lab.lowering")}
          moments={loweringDegs.map((deg) => ({
            deg,
            nm: kneelingLowering({ bodyMassKg, heightM, forwardAngleDeg: deg }).kneeFlexorMomentNm,
          }))}
        />
        <label className="flex flex-wrap items-center gap-2 text-sm">
          {t("lab.lowering.lost")}
          <input
            className="input w-20"
            inputMode="decimal"
            value={lost}
            onChange={(event) => setLost(event.target.value)}
          />
          <strong aria-live="polite">
            {lostNm !== null
              ? t("lab.lowering.strength", {
                  nm: sayNumber(Math.round(lostNm)),
                  perKg: sayNumber(Math.round((100 * lostNm) / bodyMassKg) / 100),
                })
              : lost.trim() !== "" && t("lab.lowering.range", { most: mostLoweringDeg })}
          </strong>
        </label>
      </section>
      <section className={`${card} md:col-span-2`} data-testid="lifts">
        <h2 className="text-lg font-semibold">{t("lab.lifts")}</h2>
        <label className="flex items-center gap-2 text-sm">
          {t("lab.lifts.weight")}
          <input
            className="input w-20"
            inputMode="decimal"
            value={weight}
            onChange={(event) => setWeight(event.target.value)}
          />
          {typed !== weightKg && <span className="text-error">{t("lab.lifts.range", { most: mostKg })}</span>}
        </label>
        <div className="grid gap-4 sm:grid-cols-2">
          <Moments
            says={t("lab.lifts.extension")}
            moments={sittingDegs.map((deg) => ({
              deg,
              nm: isolatedMoment({
                bodyMassKg,
                heightM,
                movement: "knee-extension-sitting",
                kneeFlexionDeg: deg,
                weightKg,
              }).momentNm,
            }))}
          />
          <Moments
            says={t("lab.lifts.side")}
            moments={lyingDegs.map((deg) => ({
              deg,
              nm: isolatedMoment({
                bodyMassKg,
                heightM,
                movement: "side-lying-lift",
                abductionDeg: deg,
                weightKg,
              }).momentNm,
            }))}
          />
        </div>
      </section>
    </div>
  );
}

/** Moments arc by arc, as numbers and as bars. */
function Moments({ says, moments }: { says: string; moments: readonly { deg: number; nm: number }[] }) {
  const most = Math.max(...moments.map(({ nm }) => nm));
  return (
    <table className="w-full text-sm">
      <caption className="text-left font-semibold">
        {says} ({label("lab.unit", "knee")})
      </caption>
      <tbody>
        {moments.map(({ deg, nm }) => (
          <tr key={deg} className="tabular-nums">
            <th scope="row" className="w-12 text-left font-normal">
              {t("lab.degree", { value: deg })}
            </th>
            <td>
              <span
                className="bg-primary block h-3 rounded-full"
                style={{ width: `${(100 * nm) / most}%` }}
              />
            </td>
            <td className="w-14 text-right font-semibold">{sayNumber(Math.round(nm * 10) / 10)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
