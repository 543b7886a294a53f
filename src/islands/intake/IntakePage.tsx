import { useEffect, useMemo, useRef, useState } from "react";
import { FormProvider, useForm, type FieldPath } from "react-hook-form";
import { v7 as uuid } from "uuid";
import type { Problem } from "~/contract/problem";
import type { DraftList } from "~/contract/intake";
import { mostUrgent, type Urgency } from "~/core/intake/stop-signal";
import type { Measure } from "~/core/measure/measure";
import type { PainSchoolCode } from "~/core/response/pain-school";
import type { Calls } from "~/contract/clinic";
import ProblemNote from "~/islands/frame/ProblemNote";
import { label, sayTime, t } from "~/messages/say";
import { emptyIntake, fieldOf, resumedIntake, type IntakeFields } from "./intake-fields";
import { GoalsSection, PersonSection, ProblemSection } from "./IntakeSections";
import type { MissingField } from "./intake-missing";
import type { KnownPerson, PathwayChoice } from "./choices";
import { HealthSection, LimitsSection } from "./SafetySections";
import type { DraftBarProps } from "./DraftBar";
import ProposalAside from "./ProposalAside";
import RedFlagSection from "./RedFlagSection";
import { useKeptDraft, type KeptDraft } from "./use-kept-draft";
import { useLivePlacing } from "./use-live-placing";
import { later } from "~/islands/frame/later";
import { island } from "~/islands/frame/island";

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
  /** Whom to call, by urgency. */
  calls: Calls;
  /** The pain rule that this clinic begins with; null: as the stage says. */
  school: PainSchoolCode | null;
  /** A person the clinic knows, for whom this is another episode. */
  known: KnownPerson | null;
}

const DraftBar = later<DraftBarProps>(
  () => import("./DraftBar"),
  ({ drafts }) => (drafts.length > 0 ? <div className="mt-2 min-h-11" /> : null),
);
const BaselineSection = later(() => import("./BaselineSection"));

/** Takes a new patient in, in the order of the work; kept as it goes, placed and signed at the end. */
function IntakePage({
  pathways,
  procedures,
  drafts,
  measures: measureList,
  today,
  zone,
  maySign,
  calls,
  school,
  known,
}: Props) {
  const form = useForm<IntakeFields>({
    defaultValues: { ...emptyIntake, baselineOn: today, school: school ?? "", ...known },
  });
  const measures = useMemo(() => new Map(measureList.map((one) => [one.code, one])), [measureList]);
  const [id, setId] = useState(() => uuid());
  const [problem, setProblem] = useState<Problem | null>(null);
  const { watch, reset, getValues } = form;
  const kept = useKeptDraft(form, id);
  const [live, ask] = useLivePlacing(form, id, measures);
  const [isRenewed, setRenewed] = useState(false);
  const touched = useRef("");
  const said = JSON.stringify(live.proposed?.placing ?? null);
  useEffect(() => {
    if (touched.current === "" || said === "null" || touched.current === said) return;
    touched.current = "";
    setRenewed(true);
  }, [said]);

  const resume = (draft: DraftList["drafts"][number]) => {
    setId(draft.id);
    const resumed = resumedIntake(draft.body);
    reset({ ...resumed, baselineOn: resumed.baselineOn || today });
    touched.current = "";
    setRenewed(false);
  };

  const propose = form.handleSubmit(async () => {
    const { missing, problem: refusal, proposed } = await ask();
    setProblem(refusal ?? (missing.length > 0 ? lacking(missing) : null));
    const faults = refusal
      ? (refusal.problems ?? []).map(({ path, problem: message }) => ({ name: fieldOf(path), message }))
      : missing.map(({ name }) => ({ name, message: t("intake.isNeeded") }));
    faults.forEach(({ name, message }, n) => form.setError(name, { message }, { shouldFocus: n === 0 }));
    if (proposed) toProposal();
  });

  const pathway = pathways.find((choice) => choice.code === watch("pathway"));
  const flags = watch("redFlags");
  const isFlagged = flags.length > 0;
  const urgency = mostUrgent(flags);
  const { proposed, missing } = live;
  const go = (name: FieldPath<IntakeFields>) => {
    const field = document.querySelector<HTMLElement>(
      name === "flagsAsked" ? '[data-testid="red-flags"] button' : `[name="${name}"]`,
    );
    field?.focus();
    field?.scrollIntoView({ block: "center" });
  };

  return (
    <FormProvider {...form}>
      <div className="mx-auto max-w-7xl px-4 py-4">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-2xl font-bold">{t("intake.title")}</h1>
          <p
            className={kept.failing ? "text-warning text-sm font-medium" : "text-base-content/75 text-sm"}
            role="status"
          >
            {sayKept(kept, zone)}
          </p>
        </div>
        <DraftBar drafts={drafts} zone={zone} onResume={resume} />
        <div className="mt-3 grid items-start gap-4 lg:grid-cols-[minmax(0,41rem)_minmax(0,1fr)]">
          <form onSubmit={propose} className="flex min-w-0 flex-col gap-4" noValidate>
            <RedFlagSection key={`flags ${id}`} calls={calls} />
            <PersonSection known={watch("beside") !== ""} />
            <ProblemSection pathways={pathways} pathway={pathway} others={procedures} />
            <LimitsSection />
            <HealthSection key={`health ${id}`} />
            {pathway && <BaselineSection key={pathway.code} pathway={pathway} measures={measures} />}
            <GoalsSection />
            {!(proposed && live.current) && <ProblemNote problem={problem} sayPath={sayField} />}
            {!(proposed && live.current) && (
              <button
                className="btn btn-primary btn-lg sm:self-start"
                disabled={form.formState.isSubmitting || isFlagged}
              >
                {t("intake.propose")}
              </button>
            )}
            <NarrowStrip
              urgency={urgency}
              says={
                proposed && pathway
                  ? (pathway.stages.find(({ code }) => code === proposed.placing.stage)?.name ?? "")
                  : t("intake.stillNeeded", { count: missing.length })
              }
            />
          </form>
          <ProposalAside
            id={id}
            live={live}
            pathway={pathway}
            beside={getValues().beside}
            maySign={maySign}
            isFlagged={isFlagged}
            isRenewed={isRenewed}
            onTouched={() => {
              touched.current = said;
              setRenewed(false);
            }}
            onGo={go}
            sayPath={sayField}
          />
        </div>
      </div>
    </FormProvider>
  );
}

/** Whether what was typed is kept, in words. */
function sayKept({ savedAt, failing, refusal }: KeptDraft, zone: string): string {
  const time = savedAt && sayTime(savedAt, zone);
  if (refusal !== null) return refusal;
  if (failing) return time ? t("intake.notKeptSince", { time }) : t("intake.notKept");
  return time ? t("intake.saved", { time }) : t("intake.saves");
}

/** What stands below the edge of a narrow window: the proposal, or whom to call. */
function NarrowStrip({ urgency, says }: { urgency: Urgency | null; says: string }) {
  const look = urgency === null ? "btn-neutral" : "bg-error text-error-content";
  const toCall = () =>
    document.querySelector("[data-testid=red-flag-note]")?.scrollIntoView({ block: "center" });
  return (
    <div className="sticky bottom-0 z-10 -mx-4 lg:hidden">
      <button
        type="button"
        className={`btn ${look} h-12 w-full justify-between rounded-none px-4`}
        onClick={urgency === null ? toProposal : toCall}
      >
        <span>{urgency === null ? says : t(`urgency.${urgency}`)}</span>
        <span>{t(urgency === null ? "intake.toProposal" : "intake.whomToCall")}</span>
      </button>
    </div>
  );
}

/** Shows the proposal, which stands below where the window is narrow. */
function toProposal(): void {
  const box = document.getElementById("proposal");
  box?.focus({ preventScroll: true });
  box?.scrollIntoView({ block: "nearest" });
}

/** What lacks, as a form says what is wrong with it. */
const lacking = (missing: readonly MissingField[]): Problem => ({
  type: "/problems/missing",
  title: t("intake.lacks", { what: missing.map(({ says }) => t(says)).join(", ") }),
  status: 0,
});

/** A path of the endpoint's answer by its label in the form, or by its own last name. */
function sayField(path: string): string {
  const name = fieldOf(path).split(".").at(-1) ?? path;
  const words = label("intake", name);
  return words === name ? name.replace(/([A-Z])/g, " $1").toLowerCase() : words;
}

export default island(IntakePage, () => location.assign("/intake"));
