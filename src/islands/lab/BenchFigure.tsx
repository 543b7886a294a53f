import type { Static } from "@sinclair/typebox";
import { useMemo, useState } from "react";
import type { LoadBody } from "~/contract/load-body";
import { linkageFigure } from "~/core/load/linkage-pose";
import { linkageModel } from "~/core/mechanics/linkage-model";
import type { SquatLinkageOutput } from "~/core/mechanics/squat-linkage";
import { lengthsOf } from "~/core/pose/body-lengths";
import { t } from "~/messages/say";
import { askOf, boxPulled, type Bench } from "./bench";
import { legHandles } from "./leg-handles";
import PulledFigure, { type Handle } from "./PulledFigure";

interface Props {
  body: LoadBody;
  bench: Bench;
  held: Static<typeof SquatLinkageOutput>;
  left: boolean;
  /** Top of the box that is touched, metres; null where none stands there. */
  boxM: number | null;
  onBench: (part: Partial<Bench>) => void;
}

const reach = { behind: 0.62, ahead: 0.72 } as const;

/** The person on the bench from the side, with handles at knee, hip and box. A form that cannot be held keeps the last lean. */
export default function BenchFigure({ body, bench, held, left, boxM, onBench }: Props) {
  const lengths = useMemo(() => lengthsOf(body), [body]);
  const [lastLean, setLastLean] = useState(0);
  const leanDeg = held.feasible ? held.trunkLeanDeg : lastLean;
  if (held.feasible && held.trunkLeanDeg !== lastLean) setLastLean(held.trunkLeanDeg);
  const figure = useMemo(
    () =>
      linkageFigure(lengths, {
        kneeFlexionDeg: bench.kneeDeg,
        shankInclinationDeg: bench.shankDeg,
        trunkLeanDeg: leanDeg,
        stance: bench.stance,
        freeLeg: bench.freeLeg,
        armsForward: bench.armsForward,
        barKg: bench.barKg,
        dumbbellsKg: bench.handsKg,
        ...(boxM === null ? {} : { boxM }),
      }),
    [lengths, bench, leanDeg, boxM],
  );
  const { pressureM } = linkageModel(askOf(body, bench));
  const handles: Handle[] = [
    ...legHandles(lengths, onBench),
    ...(boxM === null
      ? []
      : [
          {
            name: "box",
            at: ({ legs }: Parameters<Handle["at"]>[0]) =>
              [legs.w.hip[0] - 0.09 * body.heightM, boxM, lengths.hipCentre] as const,
            onPull: (_ahead: number, above: number) => onBench(boxPulled(body, bench.shankDeg, above)),
          },
        ]),
  ];
  const share = bench.stance === "double" ? 0.5 : 1;
  return (
    <PulledFigure
      lengths={lengths}
      figure={figure}
      left={left}
      label={t("lab.tab.bench")}
      handles={handles}
      reach={reach}
      pushes={
        held.feasible
          ? ({ centre, legs }) => {
              const ground = (side: "w" | "o") => ({
                share,
                pressureAt: [pressureM, 0, legs[side].ankle[2]] as const,
              });
              return {
                above: { at: [pressureM, centre[1], 0] },
                legs: { w: ground("w"), o: bench.stance === "double" ? ground("o") : null },
              };
            }
          : null
      }
    />
  );
}
