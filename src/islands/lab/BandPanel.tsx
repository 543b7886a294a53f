import { line, scaleLinear } from "d3";
import { useMemo, useState } from "react";
import { bandAtLength } from "~/core/band/band-at-length";
import { bandMoment } from "~/core/band/band-moment";
import { bandThrough } from "~/core/band/band-through";
import type { Band } from "~/core/band/band";
import { camera } from "~/core/figure/camera";
import { pathUnitsPerCm } from "~/core/figure/outline";
import { useWidth } from "~/islands/chart/use-width";
import ValueAxis from "~/islands/chart/ValueAxis";
import FigureDrawing from "~/islands/figure/FigureDrawing";
import { useFigure, type Shown } from "~/islands/figure/use-figure";
import { typedNumber } from "~/islands/frame/typed-number";
import { label, sayLength, sayNumber, t } from "~/messages/say";

interface Props {
  shown: Shown;
  /** What it shows, in words. */
  says: string;
  bands: readonly Band[];
  /** Takes the most it pulls with, newtons, and the comparison in words; null where the dose has no band. */
  onUse: ((forceN: number, sentence: string) => void) | null;
}

const height = 120;
const margin = { top: 10, right: 12, bottom: 20, left: 44 };

/** The band of an exercise as the clinic measured it: what it pulls with on the way, drawn on the figure, and what that turns the joints by. */
export default function BandPanel({ shown, says, bands, onUse }: Props) {
  const state = useFigure(shown);
  const moments = useMemo(() => (state.ok ? bandThrough(state.body, state.figure) : []), [state]);
  const form = moments[0]?.band.form;
  const fitting = bands.filter((band) => band.form === form);
  const [chosen, setChosen] = useState("");
  const [held, setHeld] = useState("");
  const [at, setAt] = useState<number | null>(null);
  const [box, width] = useWidth(300);
  if (!state.ok || moments.length === 0) return null;
  const band = fitting.find(({ id }) => id === chosen) ?? fitting[0];
  if (!band)
    return (
      <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="band-panel">
        <h2 className="font-semibold">{t("lab.band")}</h2>
        <p className="text-sm">
          {t("lab.band.none", { form: label("band", form ?? "strip") })}{" "}
          <a className="link" href="/clinic/kit">
            {t("lab.band.measure")}
          </a>
        </p>
      </section>
    );
  const shortest = Math.min(...moments.map(({ band: { lengthM } }) => lengthM));
  const typed = typedNumber(held);
  const isHeldWrong = typed !== null && !(typed >= 5 && typed <= 500);
  // A strip is taken as just taut where it is shortest; a loop is as long as it is.
  const taut = Math.max(5, Math.floor(100 * shortest));
  const heldCm = form === "loop" ? band.restCm : isHeldWrong ? taut : (typed ?? taut);
  const told = moments.map((moment) => ({
    ...moment,
    pull: bandAtLength(band, heldCm, 100 * moment.band.lengthM),
  }));
  const known = told.flatMap(({ pull }, n) => (pull.ok ? [{ n, forceN: pull.forceN }] : []));
  const most = known.reduce((best, one) => Math.max(best, one.forceN), 0);
  const isTooFar = told.some(({ pull }) => !pull.ok && pull.reason === "beyond-measured");
  const hardest = known.reduce((best, one) => (one.forceN > best.forceN ? one : best), {
    n: moments.length - 1,
    forceN: -1,
  });
  const index = Math.min(at ?? hardest.n, moments.length - 1);
  const here = told[index];
  if (!here) return null;
  const { pull } = here;
  const turned = pull.ok ? bandMoment(here.body, here.band, pull.forceN) : null;
  const x = scaleLinear()
    .domain([0, Math.max(1, moments.length - 1)])
    .range([margin.left, width - margin.right]);
  const y = scaleLinear()
    .domain([0, Math.max(10, most)])
    .nice()
    .range([height - margin.bottom, margin.top]);
  const path = line<(typeof told)[number]>(
    (_, n) => x(n),
    ({ pull: one }) => y(one.ok ? one.forceN : NaN),
  ).defined(({ pull: one }) => one.ok);
  const [left, top] = camera(state.figure.viewDeg, state.look.left)
    .flat(here.band.middle)
    .map((cm) => cm * pathUnitsPerCm) as [number, number];
  const [first, last] = [told[0]?.pull, told.at(-1)?.pull];
  const sayForce = (one: typeof first) =>
    one?.ok ? sayNumber(Math.round(one.forceN)) : label("lab.band", one?.reason ?? "slack");
  const sentence = t("lab.band.sentence", {
    name: band.name,
    held: sayLength(heldCm),
    first: sayForce(first),
    last: sayForce(last),
  });
  return (
    <section
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-3"
      data-testid="band-panel"
    >
      <h2 className="text-lg font-semibold">{t("lab.band")}</h2>
      <div className="flex flex-wrap items-end gap-2">
        <label className="text-sm font-medium">
          {t("lab.band.which")}
          <select
            className="select w-full"
            value={band.id}
            onChange={(event) => setChosen(event.target.value)}
          >
            {(["clinic", "home"] as const).map((where) => (
              <optgroup key={where} label={label("band", where)}>
                {fitting
                  .filter((one) => one.where === where)
                  .map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
              </optgroup>
            ))}
          </select>
        </label>
        {form === "strip" && (
          <label className="flex flex-col text-sm font-medium">
            {t("lab.band.held")}
            <input
              className={`input w-24 ${isHeldWrong ? "input-error" : ""}`}
              inputMode="decimal"
              aria-invalid={isHeldWrong}
              placeholder={String(taut)}
              value={held}
              onChange={(event) => setHeld(event.target.value)}
            />
          </label>
        )}
        {onUse && most > 0 && !isTooFar && (
          <button
            type="button"
            className="btn"
            onClick={() => onUse(Math.max(1, Math.round(most)), sentence)}
          >
            {t("lab.band.use", { n: Math.max(1, Math.round(most)) })}
          </button>
        )}
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <div className="h-64">
          <FigureDrawing
            {...state}
            place={here.place}
            label={says}
            className="h-full w-full overflow-visible"
          >
            {pull.ok && (
              <g aria-hidden className="levers">
                <g className="lever">
                  <text x={left} y={top - 24} fontSize={84} textAnchor="middle">
                    {t("band.newtons", { n: sayNumber(Math.round(pull.forceN)) })}
                  </text>
                </g>
              </g>
            )}
          </FigureDrawing>
        </div>
        <div ref={box} className="min-w-0">
          <svg width={width} height={height} role="img" aria-label={sentence}>
            <ValueAxis
              scale={y}
              ticks={y.ticks(3)}
              left={margin.left}
              right={width - margin.right}
              say={(tick) => t("band.newtons", { n: sayNumber(tick) })}
            />
            <text x={margin.left} y={height - 4} className="fill-base-content text-xs">
              {t("lab.start")}
            </text>
            <text
              x={width - margin.right}
              y={height - 4}
              textAnchor="end"
              className="fill-base-content text-xs"
            >
              {t("lab.end")}
            </text>
            <line
              x1={x(index)}
              x2={x(index)}
              y1={margin.top}
              y2={height - margin.bottom}
              className="stroke-base-content/60"
            />
            <path d={path(told) ?? ""} className="stroke-primary fill-none" strokeWidth={3} />
          </svg>
          {moments.length > 1 && (
            <input
              type="range"
              aria-label={t("lab.place")}
              aria-valuetext={t("lab.placeValue", {
                percent: Math.round((100 * index) / (moments.length - 1)),
              })}
              className="accent-primary h-11 w-full"
              min={0}
              max={moments.length - 1}
              value={index}
              onChange={(event) => setAt(Number(event.target.value))}
            />
          )}
          <p className="text-sm font-medium" aria-live="polite" data-testid="band-here">
            {pull.ok
              ? t("lab.band.here", {
                  force: sayNumber(Math.round(pull.forceN)),
                  length: sayLength(Math.round(100 * here.band.lengthM)),
                  percent: Math.round(pull.stretchPercent),
                })
              : t(`lab.band.says.${pull.reason}`, {
                  length: sayLength(Math.round(100 * here.band.lengthM)),
                  most: sayLength(
                    Math.round(heldCm * (1 + (band.points.at(-1)?.stretchCm ?? 0) / band.restCm)),
                  ),
                })}
          </p>
          {turned && (
            <p className="text-sm">
              {turned.kneeNm !== null &&
                `${t("lab.band.knee", { nm: sayNumber(Math.round(turned.kneeNm)) })} `}
              {t("lab.band.hip", { nm: sayNumber(Math.round(turned.hipNm)) })}
            </p>
          )}
          {isTooFar && <p className="text-warning text-sm font-semibold">{t("lab.band.tooFar")}</p>}
        </div>
      </div>
      <p className="text-base-content/75 text-xs">{t("lab.band.limits")}</p>
    </section>
  );
}
