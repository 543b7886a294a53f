import { useState } from "react";
import { later } from "~/islands/frame/later";
import type { Problem } from "~/contract/problem";
import type { StairView } from "~/contract/episode";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { call } from "~/islands/frame/call";
import { useSignalNews } from "~/islands/patient/use-signal-news";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDate, t } from "~/messages/say";
import LaneList from "./LaneList";
import GatePanel from "./GatePanel";
import ItemList from "./ItemList";
import PlanNotes from "./PlanNotes";
import StageBox from "./StageBox";
import StairDrawing from "./StairDrawing";
import { byUrgency } from "./by-urgency";
import { island } from "~/islands/frame/island";
import { useShortcuts } from "~/islands/frame/use-shortcuts";

const ReportForm = later(() => import("./ReportForm"));
const SchoolBox = later(
  () => import("./SchoolBox"),
  () => <div className="bg-base-100 border-base-300 rounded-box min-h-32 border" />,
);

/** Where a patient stands, what holds them back, and what to sign next. */
function StairPage({ stair: loaded }: { stair: StairView }) {
  const [stair, setStair] = useState(loaded);
  const [preview, setPreview] = useState<StairView | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [notice, setNotice] = useState("");
  const [item, setItem] = useState<string | null>(byUrgency(loaded.items)[0]?.itemId ?? null);
  const [stage, setStage] = useState(loaded.stage);
  const shown = preview ?? stair;
  const signable = preview === null && !stair.resting;

  const accept = (next: StairView, said: string) => {
    setStair(next);
    setPreview(null);
    setProblem(null);
    setNotice(said);
  };
  const previewSchool = async (school: PainSchoolCode | null) => {
    if (school === null || school === stair.schoolInForce) return setPreview(null);
    const answer = await call("readStair", { id: stair.episodeId, school });
    if (answer.ok) setPreview(answer.value);
    else setProblem(answer.problem);
  };

  useShortcuts({ Escape: () => setPreview(null) });
  useSignalNews((next) => accept(next, t("signals.open")));

  return (
    <div className="mx-auto max-w-7xl px-4 py-4">
      {stair.target && (
        <p
          className={
            stair.target.weeksNeeded > stair.target.weeksLeft
              ? "text-warning font-medium"
              : "text-base-content/80"
          }
        >
          {t(stair.target.weeksNeeded > stair.target.weeksLeft ? "stair.targetShort" : "stair.target", {
            date: sayDate(stair.target.on),
            left: stair.target.weeksLeft,
            needed: stair.target.weeksNeeded,
          })}
        </p>
      )}

      <p role="status" className="sr-only">
        {notice}
      </p>
      {preview && (
        <div className="alert alert-info alert-soft mt-3" data-testid="preview">
          <p className="text-base-content">
            {t("stair.previewing", {
              school: t(`school.${preview.school}`),
              inForce: t(`school.${stair.schoolInForce}`),
            })}
          </p>
          <button type="button" className="btn btn-sm" onClick={() => setPreview(null)}>
            {t("stair.endPreview")}
          </button>
        </div>
      )}
      {problem && <ProblemNote problem={problem} />}
      <div className="mt-3 grid items-start gap-3 lg:grid-cols-[1.35fr_1fr] lg:grid-rows-[auto_1fr]">
        <div className="bg-base-100 border-base-300 rounded-box min-w-0 border p-3">
          <StairDrawing
            stair={shown}
            selectedItem={item}
            selectedStage={stage}
            onItem={setItem}
            onStage={setStage}
            onGate={() => {
              // The gate that stands in the drawing is that of their own stage.
              setStage(shown.stage);
              requestAnimationFrame(() =>
                document.getElementById("gate")?.scrollIntoView({ behavior: "smooth", block: "nearest" }),
              );
            }}
          />
        </div>
        <div className="flex min-w-0 flex-col gap-3 lg:row-span-2">
          <PlanNotes stair={shown} signable={signable} onSigned={(next) => accept(next, t("sign.signed"))} />
          {stair.reportDay && signable && (
            <ReportForm
              episodeId={stair.episodeId}
              date={stair.reportDay}
              school={stair.schoolInForce}
              onDone={(next) => accept(next, t("report.saved"))}
            />
          )}
          <ItemList
            stair={shown}
            signable={signable}
            selected={item}
            onSelect={setItem}
            onSigned={(next) => accept(next, t("sign.signed"))}
            onStale={(next) => setStair(next)}
          />
          <SchoolBox
            stair={stair}
            previewed={preview?.school ?? null}
            onPreview={previewSchool}
            onSet={(next) => accept(next, "")}
          />
          {stair.lastSessionOn && (
            <p className="text-base-content/70 px-1 text-sm">
              {t("caseload.last", { date: sayDate(stair.lastSessionOn) })}
            </p>
          )}
          <a
            className="link inline-flex min-h-11 items-center px-1 text-sm"
            href={`/intake?beside=${stair.episodeId}`}
          >
            {t("stair.another")}
          </a>
        </div>
        <div className="bg-base-100 border-base-300 rounded-box min-w-0 border p-3">
          <StageBox stair={shown} code={stage} />
          {stage === shown.stage ? (
            <>
              <GatePanel stair={shown} />
              <LaneList lanes={shown.lanes} episodeId={shown.episodeId} gate={shown.gate} />
            </>
          ) : (
            <button type="button" className="btn mt-3" onClick={() => setStage(shown.stage)}>
              {t("stair.backToStage", { stage: nameOfStage(shown) })}
            </button>
          )}
        </div>
      </div>
    </div>
  );
}

const nameOfStage = ({ stages, stage }: StairView) =>
  stages.find(({ code }) => code === stage)?.name ?? stage;

export default island(StairPage);
