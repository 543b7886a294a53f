import type { StairItem } from "~/contract/episode";
import { sayDate, t } from "~/messages/say";

type Arc = StairItem["painArcs"][number];

/** As far as any joint here bends: one scale for every movement, so that gauges can be compared. */
const mostDeg = 150;
/** How far an arc without an end fades out, degrees. */
const fadesDeg = 25;

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
            <span className="bg-base-200 rounded-field relative h-3" aria-hidden>
              <span
                className={`absolute inset-y-0 ${arc.toDeg === null ? "from-warning bg-linear-to-r to-transparent" : "bg-warning"}`}
                style={{
                  left: share(arc.fromDeg),
                  width: share((arc.toDeg ?? arc.fromDeg + fadesDeg) - arc.fromDeg),
                }}
              />
            </span>
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

const share = (degrees: number) => `${(100 * Math.min(degrees, mostDeg)) / mostDeg}%`;

function sayTrend(arcs: readonly Arc[]): string {
  const [first, last] = [arcs[0], arcs.at(-1)];
  if (!first || !last || first === last) return "";
  const by = last.fromDeg - first.fromDeg;
  const key = by > 0 ? "arcs.later" : by < 0 ? "arcs.earlier" : "arcs.same";
  return t(key, { degrees: Math.abs(by), date: sayDate(first.date) });
}
