import type { StairItem } from "~/contract/episode";
import { sayDate, t } from "~/messages/say";

type Arc = StairItem["painArcs"][number];

/** As far as any joint here bends: one scale for every movement, so that gauges can be compared. */
const mostDeg = 150;
/** An arc without an end fades out in steps of so many degrees. */
const fadesDeg = 8;

/** Where the bend of a movement hurt, day by day: from straight on the left to bent on the right, the painful part filled. */
export default function ArcGauge({ arcs }: { arcs: readonly Arc[] }) {
  return (
    <section aria-label={t("arcs.title")} className="clear-both mt-2 text-sm" data-testid="pain-arcs">
      <h3 className="font-medium">
        {t("arcs.title")}{" "}
        <span className="text-base-content/75 font-normal">{t("arcs.scale", { most: mostDeg })}</span>
      </h3>
      <ol>
        {arcs.map((arc) => (
          <li key={arc.date} className="grid grid-cols-[5.5rem_minmax(3rem,1fr)_8.5rem] items-center gap-2">
            <span>{sayDate(arc.date)}</span>
            <svg viewBox={`0 0 ${mostDeg} 10`} preserveAspectRatio="none" className="h-3 w-full" aria-hidden>
              <rect width={mostDeg} height={10} rx={3} className="fill-base-200" />
              {parts(arc).map(({ from, to, opacity }) => (
                <rect
                  key={from}
                  x={from}
                  width={to - from}
                  height={10}
                  className="fill-warning"
                  opacity={opacity}
                />
              ))}
            </svg>
            <span>
              {arc.toDeg === null
                ? t("arcs.from", { from: arc.fromDeg })
                : t("arcs.between", { from: arc.fromDeg, to: arc.toDeg })}
              {" · "}
              {arc.pain === null ? t("arcs.measured") : t("arcs.pain", { pain: arc.pain })}
            </span>
          </li>
        ))}
      </ol>
      {sayTrend(arcs)}
    </section>
  );
}

/** The painful part; without an end it fades out. */
function parts({ fromDeg, toDeg }: Arc): { from: number; to: number; opacity: number }[] {
  if (toDeg !== null) return [{ from: fromDeg, to: toDeg, opacity: 1 }];
  return [1, 0.6, 0.3].map((opacity, n) => ({
    from: fromDeg + n * fadesDeg,
    to: fromDeg + (n + 1) * fadesDeg,
    opacity,
  }));
}

function sayTrend(arcs: readonly Arc[]): string {
  const [first, last] = [arcs[0], arcs.at(-1)];
  if (!first || !last || first === last) return "";
  const by = last.fromDeg - first.fromDeg;
  const key = by > 0 ? "arcs.later" : by < 0 ? "arcs.earlier" : "arcs.same";
  return t(key, { degrees: Math.abs(by), date: sayDate(first.date) });
}
