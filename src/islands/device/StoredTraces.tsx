import { line, max, min, scaleLinear } from "d3";
import { useEffect, useState } from "react";
import type { TracesView } from "~/contract/measures";
import type { Problem } from "~/contract/problem";
import { unpackTrace } from "~/core/device/pack-trace";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { label, sayDate, sayNumber, t } from "~/messages/say";

interface Props {
  episodeId: string;
  measure: string;
  /** The measure's unit. */
  unit: string;
}

/** What devices told of the trials of a measure, drawn again from the record. */
export default function StoredTraces({ episodeId, measure, unit }: Props) {
  const [view, setView] = useState<TracesView | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  useEffect(() => {
    let current = true;
    void call("readTraces", { id: episodeId, measure }).then((answer) => {
      if (!current) return;
      if (answer.ok) setView(answer.value);
      else setProblem(answer.problem);
    });
    return () => {
      current = false;
    };
  }, [episodeId, measure]);
  if (problem) return <ProblemNote problem={problem} />;
  if (!view) return null;
  if (view.traces.length === 0) return <p className="text-sm">{t("trace.none")}</p>;
  return (
    <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3" data-testid="traces">
      {view.traces.map((trace) => (
        <li key={trace.id} className="border-base-300 min-w-0 rounded-md border p-2">
          <TraceDrawing trace={trace} unit={unit} />
        </li>
      ))}
    </ul>
  );
}

const size = { width: 300, height: 96, left: 40, bottom: 18, top: 6, right: 4 } as const;
const points = 300;

function TraceDrawing({ trace, unit }: { trace: TracesView["traces"][number]; unit: string }) {
  const { takenOn, side, trial, value, device, sampleHz } = trace;
  const samples = unpackTrace(trace) ?? [];
  const seconds = samples.length / sampleHz;
  const highest = max(samples) ?? 1;
  const x = scaleLinear([0, samples.length - 1], [size.left, size.width - size.right]);
  const y = scaleLinear([Math.min(0, min(samples) ?? 0), highest], [size.height - size.bottom, size.top]);
  const each = Math.max(1, Math.floor(samples.length / points));
  const thinned = samples.flatMap((sample, n) => (n % each === 0 ? [[n, sample] as const] : []));
  const drawn = line<readonly [number, number]>(
    ([n]) => x(n),
    ([, sample]) => y(sample),
  )(thinned);
  const said = t("trace.of", {
    date: sayDate(takenOn),
    side,
    trial: trial + 1,
    value: value === null ? "–" : `${sayNumber(value)} ${label("unit", unit)}`.trim(),
  });
  const scaleUnit = trace.unit === "contact" ? "" : label("unit", trace.unit);
  return (
    <figure>
      <svg viewBox={`0 0 ${size.width} ${size.height}`} className="w-full" role="img" aria-label={said}>
        <line
          x1={size.left}
          x2={size.width - size.right}
          y1={y(0)}
          y2={y(0)}
          className="stroke-base-content/40"
        />
        <path d={drawn ?? ""} fill="none" strokeWidth={1.5} className="stroke-primary" />
        <text
          x={size.left - 4}
          y={y(highest) + 10}
          textAnchor="end"
          className="fill-base-content text-[11px]"
        >
          {trace.unit === "contact" ? "" : `${Math.round(highest)} ${scaleUnit}`}
        </text>
        <text
          x={size.width - size.right}
          y={size.height - 4}
          textAnchor="end"
          className="fill-base-content text-[11px]"
        >
          {sayNumber(seconds)} s
        </text>
      </svg>
      <figcaption className="text-xs">
        {said}
        <span className="text-base-content/75 block">
          {t("trace.by", { device, hz: sayNumber(sampleHz) })}
        </span>
      </figcaption>
    </figure>
  );
}
