import { useEffect, useRef, useState } from "react";
import { doseMinutes } from "~/core/dose/dose-minutes";
import type { Problem } from "~/contract/problem";
import type { InvolvedSide } from "~/core/measure/side-value";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import type { Prescription } from "~/core/exercise/prescription";
import { sidesOf } from "~/core/exercise/sides-of";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import FilterSelect from "~/islands/frame/FilterSelect";
import { sayDose } from "~/messages/say-dose";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, sayNumber, t } from "~/messages/say";

interface Props {
  exercise: Exercise;
  prescription: Prescription;
  names: readonly (readonly [id: string, name: string])[];
  heightM: number | null;
  side: InvolvedSide;
}

/** Another variant beside the one at hand: figures, dose, minutes, and every knob with where the two differ. */
export default function ComparePanel({ exercise, prescription, names, heightM, side }: Props) {
  const [other, setOther] = useState<Exercise | null>(null);
  const [chosen, setChosen] = useState("");
  const [variantId, setVariantId] = useState("");
  const [problem, setProblem] = useState<Problem | null>(null);
  const asked = useRef("");

  const choose = async (id: string, wanted = "") => {
    setChosen(id);
    asked.current = id;
    putIntoAddress(id, "");
    if (!id) return setOther(null);
    const found = await call("readExercise", { code: id });
    if (asked.current !== id) return;
    setProblem(found.ok ? null : found.problem);
    if (!found.ok) return;
    setOther(found.value);
    const ids = found.value.variants.map((variant) => variant.id);
    turn(ids.includes(wanted) ? wanted : (ids[0] ?? ""));
  };
  const turn = (id: string) => {
    setVariantId(id);
    putIntoAddress(asked.current, id);
  };
  // A comparison that was shared by its address is made again.
  const shared = useRef((parameters: URLSearchParams) => {
    const id = parameters.get("with") ?? "";
    if (names.some(([one]) => one === id)) void choose(id, parameters.get("withVariant") ?? "");
  });
  useEffect(() => {
    shared.current(new URL(location.href).searchParams);
  }, []);

  const second = other?.variants.find(({ id }) => id === variantId);
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="compare">
      <div className="grid gap-2 sm:grid-cols-2">
        <FilterSelect
          name={t("exercise.compare")}
          value={chosen}
          onValue={(id) => void choose(id)}
          options={[["", t("exercise.compareNone")], ...names]}
        />
        {other && (
          <FilterSelect
            name={t("library.variants", { count: other.variants.length })}
            value={variantId}
            onValue={turn}
            options={other.variants.map((variant) => [variant.id, variant.name] as const)}
          />
        )}
      </div>
      {problem && <ProblemNote problem={problem} />}
      {other && second && (
        <Pair
          first={{ exercise, prescription }}
          second={{ exercise: other, prescription: firstPrescription(second) }}
          heightM={heightM}
          side={side}
        />
      )}
    </section>
  );
}

/** Lets the address say what is compared with, so that it can be shared and loaded again. */
function putIntoAddress(id: string, variantId: string): void {
  const address = new URL(location.href);
  for (const [name, value] of [
    ["with", id],
    ["withVariant", variantId],
  ] as const)
    if (value) address.searchParams.set(name, value);
    else address.searchParams.delete(name);
  history.replaceState(null, "", address);
}

interface One {
  readonly exercise: Exercise;
  readonly prescription: Prescription;
}

function Pair({
  first,
  second,
  heightM,
  side,
}: {
  first: One;
  second: One;
  heightM: number | null;
  side: InvolvedSide;
}) {
  const both = [first, second];
  const names = [...new Set(both.flatMap(({ prescription }) => Object.keys(prescription.settings)))];
  const said = ({ prescription }: One, name: string) => {
    const value = knobByName(name).read(prescription);
    return value === undefined ? "–" : sayKnobValue(name, value);
  };
  return (
    <table className="mt-3 w-full table-fixed text-sm" aria-label={t("exercise.compared")}>
      <thead>
        <tr className="align-top">
          <td className="w-24 sm:w-36" />
          {both.map(({ exercise, prescription }, n) => {
            const { name } = variantOf(exercise, prescription.variantId);
            return (
              <th key={n} scope="col" className="p-1 text-left font-semibold">
                <ExerciseFigure
                  exercise={exercise}
                  prescription={prescription}
                  dose={prescription.dose}
                  heightM={heightM}
                  side={side}
                  label={t("figure.of", { exercise: exercise.name, variant: name })}
                  className="h-48"
                />
                {exercise.name}: {name}
              </th>
            );
          })}
        </tr>
      </thead>
      <tbody>
        <Row
          name={t("exercise.dose")}
          values={both.map(
            ({ exercise, prescription }) =>
              `${sayDose(prescription, null)} · ${t("plan.minutes", {
                minutes: sayNumber(
                  Math.round(
                    doseMinutes({ dose: prescription.dose, sides: sidesOf(exercise, prescription) }).minutes *
                      2,
                  ) / 2,
                ),
              })}`,
          )}
        />
        {names.map((name) => (
          <Row key={name} name={label("knob", name)} values={both.map((one) => said(one, name))} />
        ))}
        <Row name={t("exercise.felt")} values={both.map(({ exercise }) => exercise.feltIn)} />
      </tbody>
    </table>
  );
}

function Row({ name, values }: { name: string; values: string[] }) {
  const differs = values[0] !== values[1];
  return (
    <tr className="border-base-300 border-t align-top">
      <th scope="row" className="text-base-content/75 p-1 text-left font-normal">
        {name}
        {differs && (
          <span className="text-primary block text-xs font-semibold">≠ {t("exercise.differs")}</span>
        )}
      </th>
      {values.map((value, n) => (
        <td key={n} className={`p-1 ${differs ? "font-semibold" : ""}`}>
          {value}
        </td>
      ))}
    </tr>
  );
}
