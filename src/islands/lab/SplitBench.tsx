import { useMemo, useState } from "react";
import type { LoadBody } from "~/contract/load-body";
import { splitFigure } from "~/core/load/split-pose";
import { lengthsOf } from "~/core/pose/body-lengths";
import type { Vec } from "~/core/pose/space";
import { sayLength, sayNumber, t } from "~/messages/say";
import { benchRange } from "./bench";
import { legHandles } from "./leg-handles";
import AngleSlider from "./AngleSlider";
import BenchSlider from "./BenchSlider";
import PulledFigure from "./PulledFigure";
import { sayChange } from "./say-comparison";
import { longerM, longerWithShinUpright, splitHeld, stanceRange, startingSplit, type Split } from "./split";
import { loadChange } from "~/core/load/compare-loads";

interface Props {
  body: LoadBody;
  left: boolean;
}

type Held = Extract<ReturnType<typeof splitHeld>, { feasible: true }>;

const reach = { behind: 0.95, ahead: 0.5 } as const;
const rows = [
  ["lab.split.share", (held: Held) => 100 * held.frontShare],
  ["lab.split.stress", (held: Held) => held.patellofemoralStressMPa],
  ["lab.split.knee", (held: Held) => held.frontKneeMomentNm],
  ["lab.split.hip", (held: Held) => held.frontHipMomentNm],
  ["lab.split.rear", (held: Held) => held.rearKneeFlexionDeg],
] as const;

/** One foot ahead of the other: what the front leg carries, pulled about by knee, hip and rear foot; and what a longer stance does. */
export default function SplitBench({ body, left }: Props) {
  const [split, setSplit] = useState<Split>(startingSplit);
  const set = (part: Partial<Split>) => setSplit((now) => ({ ...now, ...part }));
  const lengths = useMemo(() => lengthsOf(body), [body]);
  const figure = useMemo(
    () =>
      splitFigure(lengths, {
        kneeFlexionDeg: split.kneeDeg,
        shankInclinationDeg: split.shankDeg,
        trunkLeanDeg: split.trunkDeg,
        stanceLengthM: split.stanceM,
        barKg: split.barKg,
      }),
    [lengths, split],
  );
  const now = splitHeld(body, split);
  const columns = [
    ["lab.split.now", now],
    ["lab.split.longer", splitHeld(body, { ...split, stanceM: split.stanceM + longerM })],
    ["lab.split.upright", splitHeld(body, longerWithShinUpright(body, split))],
  ] as const;
  const { foot, hipCentre } = lengths;
  const clamp = (stanceM: number) => Math.min(stanceRange[1], Math.max(stanceRange[0], stanceM));
  const front: Vec = [0.25 * foot, 0, hipCentre];
  const rear: Vec = [-split.stanceM, 0, -hipCentre];
  const cell = (held: (typeof columns)[number][1], of: (typeof rows)[number][1]) =>
    held.feasible ? of(held) : null;
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_27rem]">
      <section className="bg-base-100 border-base-300 rounded-box flex flex-col border p-3">
        <PulledFigure
          lengths={lengths}
          figure={figure}
          left={left}
          label={t("lab.tab.split")}
          reach={reach}
          handles={[
            ...legHandles(lengths, set),
            {
              name: "rear-foot",
              at: ({ legs }) => legs.o.ball,
              onPull: (ahead) => set({ stanceM: clamp(-ahead) }),
            },
          ]}
          pushes={
            now.feasible
              ? ({ centre }) => ({
                  above: {
                    at: [now.frontShare * front[0] + (1 - now.frontShare) * rear[0], centre[1], 0],
                  },
                  legs: {
                    w: { share: now.frontShare, pressureAt: front },
                    o: { share: 1 - now.frontShare, pressureAt: rear },
                  },
                })
              : null
          }
        />
        <p className="text-base-content/75 text-sm">{t("lab.split.drag")}</p>
        {!now.feasible && (
          <p role="alert" className="text-warning font-semibold">
            {t("lab.bench.cannot", { reason: now.reason })}
          </p>
        )}
      </section>
      <section className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-3">
        <p className="text-lg leading-snug font-semibold" aria-live="polite" data-testid="split-sentence">
          {now.feasible
            ? t("lab.split.sentence", { percent: Math.round(100 * now.frontShare) })
            : t("lab.bench.cannot", { reason: now.reason })}
        </p>
        <BenchSlider
          says={t("lab.split.length")}
          value={split.stanceM * 100}
          range={[100 * stanceRange[0], 100 * stanceRange[1]]}
          onValue={(cm) => set({ stanceM: cm / 100 })}
          shown={sayLength(Math.round(split.stanceM * 100))}
        />
        <AngleSlider
          says={t("lab.split.bend")}
          deg={split.kneeDeg}
          range={benchRange.knee}
          onDeg={(kneeDeg) => set({ kneeDeg })}
        />
        <AngleSlider
          says={t("lab.split.shank")}
          deg={split.shankDeg}
          range={benchRange.shank}
          onDeg={(shankDeg) => set({ shankDeg })}
        />
        <AngleSlider
          says={t("lab.split.trunk")}
          deg={split.trunkDeg}
          range={[-10, 60]}
          onDeg={(trunkDeg) => set({ trunkDeg })}
        />
        <table className="w-full text-sm" data-testid="split-table">
          <thead>
            <tr className="text-right align-bottom">
              <td />
              {columns.map(([says]) => (
                <th key={says} scope="col" className="w-20 px-1 font-semibold sm:w-24">
                  {t(says, { more: sayLength(100 * longerM) })}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([says, of]) => (
              <tr key={says} className="border-base-300 border-t text-right tabular-nums">
                <th scope="row" className="py-1 text-left font-normal">
                  {t(says)}
                </th>
                {columns.map(([column, held], n) => {
                  const [before, value] = [cell(now, of), cell(held, of)];
                  return (
                    <td key={column} className="px-1 align-top">
                      <span className="block font-semibold">
                        {!held.feasible
                          ? t("lab.split.beyond")
                          : value === null
                            ? t("lab.unknown")
                            : sayNumber(Math.round(10 * value) / 10)}
                      </span>
                      {n > 0 && before !== null && value !== null && (
                        <span className="block text-xs">{sayChange(loadChange("knee", before, value))}</span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
        <p className="text-sm">{t("lab.split.rule")}</p>
      </section>
    </div>
  );
}
