import { useEffect, useState } from "react";
import type { Problem } from "~/contract/problem";
import type { StairView } from "~/contract/episode";
import type { SchoolComparison } from "~/core/review/compare-schools";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDate, t } from "~/messages/say";
import SchoolsTable from "./SchoolsTable";
import { island } from "~/islands/frame/island";

/** One exercise's record under every pain school: day by day, and where they part. */
function SchoolsPage({ stair }: { stair: StairView }) {
  const [itemId, setItemId] = useState(stair.items[0]?.itemId ?? "");
  const [comparison, setComparison] = useState<SchoolComparison | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  useEffect(() => {
    let current = true;
    void call("compareSchools", { id: stair.episodeId, item: itemId }).then((answer) => {
      if (!current) return;
      setComparison(answer.ok ? answer.value : null);
      setProblem(answer.ok ? null : answer.problem);
    });
    return () => {
      current = false;
    };
  }, [itemId, stair.episodeId]);
  const item = stair.items.find((candidate) => candidate.itemId === itemId);
  return (
    <div className="mx-auto max-w-6xl px-4 py-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="text-xl font-bold">{t("schools.title")}</h2>
        <label className="ml-auto flex max-w-full flex-wrap items-center gap-2 text-sm font-medium">
          {t("schools.exercise")}
          <select
            className="select w-96 max-w-full"
            value={itemId}
            onChange={(event) => setItemId(event.target.value)}
          >
            {stair.items.map((candidate) => (
              <option key={candidate.itemId} value={candidate.itemId}>
                {candidate.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <ProblemNote problem={problem} />
      {comparison && item && comparison.itemId === itemId && (
        <>
          <p className="mt-3 text-lg font-semibold" data-testid="parting">
            {comparison.days.length === 0
              ? t("schools.empty")
              : comparison.partedOn
                ? t("schools.parted", { date: sayDate(comparison.partedOn) })
                : t("schools.agree")}
          </p>
          <p className="text-base-content/80 max-w-3xl text-sm">{t("schools.notice")}</p>
          {comparison.days.length > 0 && <SchoolsTable comparison={comparison} item={item} />}
        </>
      )}
    </div>
  );
}

export default island(SchoolsPage);
