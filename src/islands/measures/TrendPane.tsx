import { Download, X } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { Problem } from "~/contract/problem";
import type { TrendView } from "~/contract/measures";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDate, sayNumber, t } from "~/messages/say";
import StoredTraces from "~/islands/device/StoredTraces";
import TrendChart from "./TrendChart";
import TrendTable from "./TrendTable";
import { saveCsv, savePng, saveSvg } from "./export-chart";

interface Props {
  episodeId: string;
  code: string;
  /** The record's version: a new one asks again. */
  version: number;
  onClose: () => void;
}

/** One measure over time: drawn, as a table, and as a file. */
export default function TrendPane({ episodeId, code, version, onClose }: Props) {
  const [trend, setTrend] = useState<TrendView | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [withTraces, setWithTraces] = useState(false);
  const [asTable, setAsTable] = useState(false);
  const box = useRef<HTMLElement>(null);

  useEffect(() => {
    let current = true;
    void call("readTrend", { id: episodeId, measure: code }).then((answer) => {
      if (!current) return;
      if (answer.ok) setTrend(answer.value);
      else setProblem(answer.problem);
    });
    return () => {
      current = false;
    };
  }, [episodeId, code, version]);

  useEffect(() => {
    if (trend) box.current?.scrollIntoView({ block: "nearest" });
  }, [trend]);

  const svg = () => box.current?.querySelector<SVGSVGElement>("svg[data-chart]") ?? null;
  const name = `${code}-trend`;
  return (
    <section
      ref={box}
      className="bg-base-100 border-base-300 rounded-box mt-4 border p-3"
      data-testid="trend"
    >
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="text-lg font-semibold">{trend?.measure.name ?? ""}</h2>
        {trend?.early && (
          <p className="text-base-content/80 text-sm">
            {t("trend.early", {
              value: sayNumber(trend.early.value),
              date: sayDate(trend.early.takenOn),
              kind: t(`early.${trend.early.kind}`),
            })}
          </p>
        )}
        <div className="ml-auto flex flex-wrap gap-1">
          <button
            type="button"
            className="btn"
            aria-pressed={withTraces}
            onClick={() => setWithTraces(!withTraces)}
          >
            {t(withTraces ? "trace.hide" : "trace.show")}
          </button>
          <button type="button" className="btn" aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
            {asTable ? t("trend.chart") : t("trend.table")}
          </button>
          {trend && trend.points.length > 0 && (
            <>
              <button type="button" className="btn" disabled={asTable} onClick={() => saveSvg(svg(), name)}>
                <Download className="size-4" aria-hidden /> SVG
              </button>
              <button type="button" className="btn" disabled={asTable} onClick={() => savePng(svg(), name)}>
                <Download className="size-4" aria-hidden /> PNG
              </button>
              <button type="button" className="btn" onClick={() => saveCsv(trend, name)}>
                <Download className="size-4" aria-hidden /> CSV
              </button>
            </>
          )}
          <button
            type="button"
            className="btn btn-ghost btn-square"
            aria-label={t("frame.close")}
            onClick={onClose}
          >
            <X className="size-5" aria-hidden />
          </button>
        </div>
      </div>
      {problem && <ProblemNote problem={problem} />}
      {trend && trend.points.length === 0 && <p className="py-4">{t("trend.empty")}</p>}
      {trend &&
        trend.points.length > 0 &&
        (asTable ? <TrendTable trend={trend} /> : <TrendChart trend={trend} />)}
      {trend && withTraces && (
        <StoredTraces key={version} episodeId={episodeId} measure={code} unit={trend.measure.unit} />
      )}
    </section>
  );
}
