import { useEffect, useMemo, useRef, useState } from "react";
import { FormProvider, useForm } from "react-hook-form";
import { v7 as uuid } from "uuid";
import type { Problem } from "~/contract/problem";
import type { DraftList } from "~/contract/intake";
import type { Measure } from "~/core/measure/measure";
import type { Placing } from "~/core/intake/placing";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { draftFaults, sayFaults } from "~/islands/measures/entry-draft";
import { sayTime, t } from "~/messages/say";
import { emptyIntake, fieldOf, resumedIntake, toIntake, type IntakeFields } from "./intake-fields";
import { GoalsSection, PersonSection, ProblemSection } from "./IntakeSections";
import type { KnownPerson, PathwayChoice } from "./choices";
import { LimitsSection, ScreenSection } from "./SafetySections";
import type { DraftBarProps } from "./DraftBar";
import RedFlagNote, { redFlagOf } from "./RedFlagNote";
import { later } from "~/islands/frame/later";
import { island } from "~/islands/frame/island";

const PlacingPanel = later(() => import("./PlacingPanel"));

interface Props {
  pathways: PathwayChoice[];
  /** What can be done in an operation, by code and name. */
  procedures: { code: string; name: string }[];
  drafts: DraftList["drafts"];
  /** What can be measured at once: what gates read, and the body itself. */
  measures: Measure[];
  /** Local date of the clinic. */
  today: string;
  zone: string;
  maySign: boolean;
  /** A person the clinic knows, for whom this is another episode. */
  known: KnownPerson | null;
}

const DraftBar = later<DraftBarProps>(
  () => import("./DraftBar"),
  ({ drafts }) => (drafts.length > 0 ? <div className="mt-2 min-h-11" /> : null),
);
const BaselineSection = later(() => import("./BaselineSection"));
const pauseMs = 800;

/** Takes a new patient in, in the order of the work; kept as it goes, placed and signed at the end. */
function IntakePage({
  pathways,
  procedures,
  drafts,
  measures: measureList,
  today,
  zone,
  maySign,
  known,
}: Props) {
  const form = useForm<IntakeFields>({ defaultValues: { ...emptyIntake, baselineOn: today, ...known } });
  const measures = useMemo(() => new Map(measureList.map((one) => [one.code, one])), [measureList]);
  const [id, setId] = useState(() => uuid());
  const [placing, setPlacing] = useState<Placing | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [savedAt, setSavedAt] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const { watch, reset, getValues } = form;

  useEffect(() => {
    const watching = watch(() => {
      clearTimeout(timer.current);
      timer.current = setTimeout(async () => {
        const fields = getValues();
        const label = `${fields.givenName} ${fields.familyName}`.trim() || t("intake.nameless");
        const saved = await call("keepIntakeDraft", {}, { id, label, body: { ...fields } });
        if (saved.ok) setSavedAt(saved.value.savedAt);
      }, pauseMs);
    });
    return () => {
      watching.unsubscribe();
      clearTimeout(timer.current);
    };
  }, [watch, getValues, id]);

  const resume = (draft: DraftList["drafts"][number]) => {
    setId(draft.id);
    const resumed = resumedIntake(draft.body);
    reset({ ...resumed, baselineOn: resumed.baselineOn || today });
    setPlacing(null);
  };

  const propose = form.handleSubmit(async (fields) => {
    const rows = fields.baselineRows;
    const faults = draftFaults({ codes: Object.keys(rows), rows }, measures);
    if (faults.length > 0) {
      return setProblem({ type: "/problems/missing", title: sayFaults(faults, measures), status: 0 });
    }
    const answer = await call("proposePlacing", {}, { id, intake: toIntake(fields, measures) });
    if (!answer.ok) {
      setPlacing(null);
      answer.problem.problems?.forEach(({ path, problem: message }, n) =>
        form.setError(fieldOf(path), { message }, { shouldFocus: n === 0 }),
      );
      return setProblem(answer.problem);
    }
    setProblem(null);
    setPlacing(answer.value);
  });

  const pathway = pathways.find((choice) => choice.code === watch("pathway"));
  const redFlag = problem && redFlagOf(problem);

  return (
    <FormProvider {...form}>
      <div className="mx-auto max-w-7xl px-4 py-4">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-2xl font-bold">{t("intake.title")}</h1>
          <p className="text-base-content/75 text-sm" role="status">
            {savedAt ? t("intake.saved", { time: sayTime(savedAt, zone) }) : t("intake.saves")}
          </p>
        </div>
        <DraftBar drafts={drafts} zone={zone} onResume={resume} />
        <form onSubmit={propose} className="mt-3 grid items-start gap-4 lg:grid-cols-2" noValidate>
          <div className="flex flex-col gap-4">
            <PersonSection known={watch("beside") !== ""} />
            <ProblemSection pathways={pathways} pathway={pathway} others={procedures} />
            <LimitsSection />
          </div>
          <div className="flex flex-col gap-4">
            <ScreenSection key={id} />
            <GoalsSection />
          </div>
          {pathway && <BaselineSection key={pathway.code} pathway={pathway} measures={measures} />}
          <div className="flex flex-col gap-4 lg:col-span-2">
            {redFlag && problem && <RedFlagNote title={problem.title} flag={redFlag} />}
            {problem && !redFlag && <ProblemNote problem={problem} sayPath={sayPath} />}
            <button className="btn btn-primary btn-lg sm:self-start" disabled={form.formState.isSubmitting}>
              {t("intake.propose")}
            </button>
          </div>
        </form>
        {placing && pathway && (
          <PlacingPanel
            key={JSON.stringify(placing)}
            id={id}
            pathway={pathway}
            placing={placing}
            intake={toIntake(getValues(), measures)}
            beside={getValues().beside}
            maySign={maySign}
          />
        )}
      </div>
    </FormProvider>
  );
}

/** A field's path in words: the last part that is a name. */
function sayPath(path: string): string {
  const names = path.split("/").filter((part) => part && !/^\d+$/.test(part) && part !== "intake");
  return (
    names
      .at(-1)
      ?.replace(/([A-Z])/g, " $1")
      .toLowerCase() ?? path
  );
}

export default island(IntakePage, () => location.assign("/intake"));
