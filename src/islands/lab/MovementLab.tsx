import { useMemo, useState } from "react";
import { FormProvider, useForm, useWatch } from "react-hook-form";
import type { StairView } from "~/contract/episode";
import type { LoadBody } from "~/contract/load-body";
import { workingSide } from "~/core/case/working-side";
import { variantOf } from "~/core/exercise/exercise";
import { compareLoads } from "~/core/load/compare-loads";
import type { LoadsAt } from "~/core/load/movement-loads";
import { byHand } from "~/core/progression/by-hand";
import {
  draftOf,
  isReadable,
  movedTo,
  prescriptionOf,
  type PrescribeFields,
} from "~/islands/prescribe/prescribe-draft";
import { sayNumber, t } from "~/messages/say";
import type { LabView } from "~/contract/lab";
import AddForm from "./AddForm";
import { askedOf } from "./asked-of";
import BandPanel from "./BandPanel";
import CannotRead from "./CannotRead";
import FormSettings from "./FormSettings";
import FormSearch from "./FormSearch";
import LoadCurve from "./LoadCurve";
import LoadedFigure from "./LoadedFigure";
import LoadTable from "./LoadTable";
import { subjectKey, type LabSubject } from "./lab-subject";
import SubjectSelect from "./SubjectSelect";
import { useLibrarySubject } from "./use-library-subject";
import { sayComparison, tellPatient } from "./say-comparison";
import UseForm from "./UseForm";
import { useLoads } from "./use-loads";

interface Props {
  stair: StairView;
  body: LoadBody;
  subject: LabSubject;
  library: LabView["library"];
  bands: LabView["bands"];
  onSigned: (next: StairView) => void;
}

const kinds = ["stress", "knee", "hip"] as const;

/** One exercise, of the plan or of the library, through its movement, beside the same in another form or another exercise. */
export default function MovementLab({ stair, body, subject, library, bands, onSigned }: Props) {
  const { exercise, prescription } = subject;
  const item = stair.items.find(({ itemId }) => itemId === subject.itemId);
  const form = useForm<PrescribeFields>({ defaultValues: { ...draftOf(prescription), reason: "" } });
  const fields = useWatch({ control: form.control }) as PrescribeFields;
  const [besideId, setBeside] = useState("");
  const [besideVariantId, setBesideVariant] = useState<string | null>(null);
  const [at, setAt] = useState<number | null>(null);
  const [bandSays, setBandSays] = useState<string | null>(null);
  const [forPatient, setForPatient] = useState(false);

  const planned = stair.items.find(({ itemId }) => itemId === besideId);
  const { subject: fromLibrary } = useLibrarySubject(
    besideId === "" || planned ? null : besideId,
    besideVariantId,
  );
  const beside: LabSubject | null = planned ?? fromLibrary;
  const typed = prescriptionOf(fields);
  const readable = isReadable(typed);
  const wanted = readable ? typed : prescription;
  const hand = beside ? null : byHand(prescription, wanted);
  const other = askedOf(beside ?? { exercise, prescription: wanted });
  const changed = beside !== null || hand !== null;
  const movements = [askedOf(subject), ...(changed ? [other] : [])];
  const { loads } = useLoads(body, movements);
  const [own, turned] = loads;
  const plan = own?.ok ? own.moments : null;
  const next = changed && turned?.ok ? turned.moments : null;
  const side = plan?.some(({ legs }) => legs.w) ? "w" : "o";
  const comparison = useMemo(
    () => (plan ? compareLoads(plan, next ?? plan, side) : null),
    [plan, next, side],
  );
  const index = Math.min(at ?? hardest(plan, side), (plan?.length ?? 1) - 1);
  /** The same share of the way in a movement with another number of moments. */
  const nextIndex = next && plan ? Math.round((index * (next.length - 1)) / Math.max(1, plan.length - 1)) : 0;
  const compared = comparison && changed && next ? sayComparison(comparison) : null;
  const sentence =
    bandSays && wanted.dose.bandN !== prescription.dose.bandN
      ? [compared, bandSays].filter(Boolean).join(" ")
      : compared;
  const hurt = subject.painArcs.at(-1) ?? null;
  const arc = hurt ? { fromDeg: hurt.fromDeg, toDeg: hurt.toDeg ?? hurt.fromDeg + 5 } : null;
  const painful = arc && plan ? stressAt(plan, side, arc.fromDeg) : null;
  const workSide = workingSide(prescription, stair.involvedSide);
  const first = t(subject.itemId === null ? "lab.begins" : "lab.plan");
  const shown = { ...body, side: workSide };
  const take = (settings: typeof prescription.settings) =>
    form.reset({ ...draftOf({ ...prescription, settings }), reason: "" });

  return (
    <FormProvider {...form}>
      <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_25rem]">
        <section className="bg-base-100 border-base-300 rounded-box border p-3" aria-label={t("lab.title")}>
          {own === null && <p role="status">{t("lab.working")}</p>}
          <CannotRead told={own ?? null} />
          <div className={`flex gap-3 ${forPatient ? "h-120" : "h-80"}`}>
            <LoadedFigure
              {...shown}
              exercise={exercise}
              prescription={prescription}
              moment={plan?.[index] ?? null}
              numbers={!forPatient}
              title={first}
              label={t("figure.of", { exercise: subject.name, variant: subject.variantName })}
            />
            {changed && (
              <LoadedFigure
                {...shown}
                exercise={beside?.exercise ?? exercise}
                prescription={beside?.prescription ?? wanted}
                moment={next?.[nextIndex] ?? null}
                numbers={!forPatient}
                title={beside?.name ?? t("lab.changed")}
                label={t("figure.of", {
                  exercise: beside?.name ?? subject.name,
                  variant: beside?.variantName ?? variantOf(exercise, wanted.variantId).name,
                })}
              />
            )}
          </div>
          {changed && <CannotRead told={turned ?? null} />}
          {plan && plan.length > 1 && (
            <label className="flex items-center gap-2 text-sm">
              {t("lab.place")}
              <input
                type="range"
                className="accent-primary h-11 flex-1"
                min={0}
                max={plan.length - 1}
                value={index}
                aria-valuetext={t("lab.placeValue", {
                  percent: Math.round((100 * index) / (plan.length - 1)),
                })}
                onChange={(event) => setAt(Number(event.target.value))}
              />
            </label>
          )}
          {plan && !forPatient && (
            <>
              <div className="grid sm:grid-cols-3">
                {kinds.map((kind) => (
                  <LoadCurve
                    key={kind}
                    kind={kind}
                    side={side}
                    plan={plan}
                    changed={next}
                    at={index}
                    onAt={setAt}
                    hurt={kind === "stress" ? arc : null}
                  />
                ))}
              </div>
              {arc && hurt && (
                <p className="text-sm">
                  <span className="text-error font-semibold">
                    {hurt.toDeg === null
                      ? t("lab.hurt", { from: hurt.fromDeg })
                      : t("lab.hurtSpan", { from: hurt.fromDeg, to: hurt.toDeg })}
                  </span>
                  . {painful !== null && t("lab.hurtStress", { stress: sayNumber(painful) })}
                </p>
              )}
              <p className="text-base-content/75 text-xs">
                {t("lab.arms")}
                {own?.ok && own.readShare < 1 && ` ${t("lab.part")}`}
              </p>
              {comparison && (
                <LoadTable comparison={comparison} changed={changed && next !== null} first={first} />
              )}
            </>
          )}
          {!forPatient && (
            <BandPanel
              key={wanted.variantId}
              shown={{ ...shown, exercise, prescription: wanted }}
              says={t("figure.of", { exercise: subject.name, variant: subject.variantName })}
              bands={bands}
              onUse={
                variantOf(exercise, wanted.variantId).kit.includes("band")
                  ? (forceN, said) => {
                      form.setValue("bandN", String(forceN));
                      setBandSays(said);
                    }
                  : null
              }
            />
          )}
        </section>

        <section className="flex flex-col gap-3">
          <div className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-3">
            <p className="text-lg leading-snug font-semibold" aria-live="polite" data-testid="lab-sentence">
              {forPatient
                ? comparison && changed && next
                  ? tellPatient(comparison)
                  : t("lab.tell.none")
                : (sentence ?? t("lab.unchanged"))}
            </p>
            <div className="flex flex-wrap items-start gap-2">
              {!forPatient && item && hand && sentence && (
                <UseForm stair={stair} item={item} wanted={wanted} sentence={sentence} onSigned={onSigned} />
              )}
              {!forPatient && !item && !beside && readable && (
                <AddForm stair={stair} subject={subject} wanted={wanted} />
              )}
              <button type="button" className="btn" onClick={() => setForPatient(!forPatient)}>
                {t(forPatient ? "lab.clinicianView" : "lab.patientView")}
              </button>
            </div>
            {!forPatient && plan && !beside && (
              <FormSearch
                key={subjectKey(subject)}
                exercise={exercise}
                prescription={prescription}
                body={body}
                plan={plan}
                painfulMPa={painful}
                onTake={take}
              />
            )}
          </div>
          {!forPatient && (
            <div className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-3">
              <label className="text-sm font-medium">
                {t("lab.against")}
                <SubjectSelect
                  items={stair.items.filter(({ itemId }) => itemId !== subject.itemId)}
                  library={library}
                  value={besideId}
                  none={t("lab.againstOwn")}
                  onValue={(key) => {
                    setBeside(key);
                    setBesideVariant(null);
                  }}
                />
              </label>
              {beside && beside.itemId === null && (
                <label className="text-sm font-medium">
                  {t("prescribe.variant")}
                  <select
                    className="select w-full"
                    value={beside.prescription.variantId}
                    onChange={(event) => setBesideVariant(event.target.value)}
                  >
                    {beside.exercise.variants.map(({ id, name }) => (
                      <option key={id} value={id}>
                        {name}
                      </option>
                    ))}
                  </select>
                </label>
              )}
              {!beside && (
                <FormSettings
                  exercise={exercise}
                  heightM={body.heightM}
                  onVariant={(variant) => form.reset({ ...movedTo(form.getValues(), variant), reason: "" })}
                  onBack={hand ? () => form.reset({ ...draftOf(prescription), reason: "" }) : null}
                />
              )}
            </div>
          )}
        </section>
      </div>
    </FormProvider>
  );
}

/** The moment with the most under the kneecap, or else the last. */
function hardest(plan: readonly LoadsAt[] | null, side: "w" | "o"): number {
  if (!plan) return 0;
  const stress = (n: number) => plan[n]?.legs[side]?.patellofemoralStressMPa ?? 0;
  return plan.reduce((best, _, n) => (stress(n) > stress(best) ? n : best), plan.length - 1);
}

/** Stress of the leg where it passes a bend first, MPa; null where it never does. */
function stressAt(plan: readonly LoadsAt[], side: "w" | "o", deg: number): number | null {
  const there = plan.find(({ legs }) => (legs[side]?.kneeFlexionDeg ?? -1) >= deg);
  return there?.legs[side]?.patellofemoralStressMPa ?? null;
}
