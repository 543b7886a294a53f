import { line, max, scaleLinear, scaleTime } from "d3";
import type { CaseDecision } from "~/core/case/case-file";
import type { ExerciseHistory, HistoryPoint } from "~/core/session/exercise-history";
import { localDay } from "~/core/schedule/local-day";
import DateAxis from "~/islands/chart/DateAxis";
import { useWidth } from "~/islands/chart/use-width";
import ValueAxis from "~/islands/chart/ValueAxis";
import { sayChange } from "~/messages/say-change";
import { sayDate, sayNumber, t } from "~/messages/say";

interface Props {
  name: string;
  history: ExerciseHistory;
  decisions: readonly CaseDecision[];
  zone: string;
}

const height = 380;
const margin = { top: 24, right: 20, bottom: 30, left: 52 };
const workBottom = 190;
const marksAt = 212;
const labelWidth = 86;
const painTop = 234;
const noon = (date: string) => new Date(`${date}T12:00:00Z`);
const turnShape = { harder: "M0 -7 7 6H-7Z", easier: "M0 7 7 -6H-7Z", other: "M0 -7 7 0 0 7 -7 0Z" } as const;
const turnTone = { harder: "fill-success", easier: "fill-warning", other: "fill-base-content" } as const;

/** Work as columns, pain during and the morning after as lines, and between them every knob that was turned. */
export default function HistoryChart({ name, history, decisions, zone }: Props) {
  const [box, width] = useWidth(240);
  const { points, unit } = history;
  const turns = decisions.flatMap((d) =>
    d.signedChange ? [{ ...d, on: localDay(d.at, zone), turn: d.signedChange }] : [],
  );
  const dates = [...points.map(({ date }) => date), ...turns.map(({ on }) => on)].sort();
  const [first, last] = [noon(dates[0] ?? ""), noon(dates.at(-1) ?? "")];
  const pad = Math.max(86_400_000, (last.getTime() - first.getTime()) * 0.04);
  const x = scaleTime()
    .domain([new Date(first.getTime() - pad), new Date(last.getTime() + pad)])
    .range([margin.left, width - margin.right]);
  const work = scaleLinear()
    .domain([0, max(points, (point) => point.work) || 1])
    .nice()
    .range([workBottom, margin.top]);
  const pain = scaleLinear()
    .domain([0, 10])
    .range([height - margin.bottom, painTop]);
  const column = Math.min(18, Math.max(4, ((width - margin.left - margin.right) / points.length) * 0.6));
  const lineOf = (value: (point: HistoryPoint) => number | null) =>
    line<HistoryPoint>(
      (point) => x(noon(point.date)),
      (point) => pain(value(point) ?? 0),
    ).defined((point) => value(point) !== null)(points) ?? "";
  const ticks = spaced(
    points.map(({ date }) => date),
    (date) => x(noon(date)),
  );
  const otherwise = points.filter((point) => point.work === 0).length;
  const reports = points.filter((point) => point.painNextDay !== null).length;
  return (
    <div ref={box}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={t("history.drawing", { exercise: name, sessions: points.length })}
        data-testid="history-chart"
      >
        <text x={margin.left} y={14} className="fill-base-content text-xs font-semibold">
          {t("history.work")} ({t(`history.unit.${unit}`)})
        </text>
        <ValueAxis scale={work} ticks={work.ticks(4)} left={margin.left} right={width - margin.right} />
        {points.map((point) => (
          <rect
            key={`${point.date} ${point.work}`}
            x={x(noon(point.date)) - column / 2}
            y={work(point.work)}
            width={column}
            height={workBottom - work(point.work)}
            className="fill-primary"
          >
            <title>{`${sayDate(point.date)}: ${sayNumber(point.work)} ${t(`history.unit.${unit}`)}`}</title>
          </rect>
        ))}
        {turns.map(({ id, on, turn, applied }) => (
          <g key={id} transform={`translate(${x(noon(on))} ${marksAt})`}>
            <path d={turnShape[turn.direction]} className={turnTone[turn.direction]} />
            <title>{`${sayDate(on)}: ${applied ? sayChange(applied, null) : ""}`}</title>
          </g>
        ))}
        <ValueAxis scale={pain} ticks={[0, 2, 5, 10]} left={margin.left} right={width - margin.right} />
        <path d={lineOf((point) => point.painDuring)} className="stroke-accent fill-none" strokeWidth={2} />
        <path
          d={lineOf((point) => point.painNextDay)}
          className="stroke-primary fill-none"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
        {points.map((point) => (
          <g key={point.date}>
            {point.painDuring !== null && (
              <rect
                x={x(noon(point.date)) - 4}
                y={pain(point.painDuring) - 4}
                width={8}
                height={8}
                className="fill-accent"
              >
                <title>{`${sayDate(point.date)}: ${t("history.during")} ${point.painDuring}`}</title>
              </rect>
            )}
            {point.painNextDay !== null && (
              <circle
                cx={x(noon(point.date))}
                cy={pain(point.painNextDay)}
                r={4}
                className="fill-base-100 stroke-primary"
                strokeWidth={2}
              >
                <title>{`${sayDate(point.date)}: ${t("history.nextDay")} ${point.painNextDay}`}</title>
              </circle>
            )}
          </g>
        ))}
        <DateAxis ticks={ticks.map((date) => ({ date, x: x(noon(date)) }))} y={height - 8} />
      </svg>
      <p className="text-base-content/80 mt-1 flex flex-wrap gap-x-4 text-sm">
        <Legend
          shape="M-5 -5H5V5H-5Z"
          tone="fill-accent"
          words={`${t("history.pain")}, ${t("history.during")}`}
        />
        <Legend
          shape="M-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0"
          tone="fill-base-100 stroke-primary"
          words={`${t("history.pain")}, ${t("history.nextDay")}`}
        />
        {(["harder", "easier", "other"] as const).map((direction) => (
          <Legend
            key={direction}
            shape={turnShape[direction]}
            tone={turnTone[direction]}
            words={t(`history.${direction}`)}
          />
        ))}
        <span>{t("history.n", { sessions: points.length, reports })}</span>
        {otherwise > 0 && <span>{t("history.otherwise", { count: otherwise })}</span>}
      </p>
    </div>
  );
}

/** Dates far enough apart for their words, from the last one back. */
function spaced(dates: readonly string[], at: (date: string) => number): string[] {
  return dates.reduceRight<string[]>((kept, date) => {
    const next = kept[0];
    return next === undefined || at(next) - at(date) >= labelWidth ? [date, ...kept] : kept;
  }, []);
}

function Legend({ shape, tone, words }: { shape: string; tone: string; words: string }) {
  return (
    <span className="inline-flex items-center gap-1">
      <svg viewBox="-8 -8 16 16" width={14} height={14} aria-hidden>
        <path d={shape} className={tone} strokeWidth={2} />
      </svg>
      {words}
    </span>
  );
}
