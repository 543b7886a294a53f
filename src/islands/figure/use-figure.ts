import { useMemo } from "react";
import { figureOf } from "~/catalogue/figures/all";
import { figureExtent, type FigureLook } from "~/core/figure/draw-figure";
import type { Figure } from "~/core/figure/figure";
import type { Extent } from "~/core/figure/outline";
import type { InvolvedSide } from "~/core/measure/side-value";
import { usualHeightM } from "~/core/pose/usual-height";
import { lengthsOf, type BodyLengths } from "~/core/pose/body-lengths";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";

export interface Shown {
  readonly exercise: Pick<Exercise, "id" | "lane" | "drawnLike">;
  readonly prescription: Pick<Prescription, "settings">;
  readonly heightM: number | null;
  /** Limbs as measured, metres; else shares of the height. */
  readonly shankM?: number | null;
  readonly thighM?: number | null;
  readonly side: InvolvedSide;
  /** Where a joint hurt last in this movement. */
  readonly painArc?: FigureLook["painArc"];
}

export type FigureState =
  | {
      readonly ok: true;
      readonly body: BodyLengths;
      readonly figure: Figure;
      readonly extent: Extent;
      readonly look: FigureLook;
    }
  /** Nothing to draw (null), or why it cannot be drawn. */
  | { readonly ok: false; readonly why: string | null };

/** A variant as prescribed, ready to be drawn for a person; made again only when something of it changes. */
export function useFigure({ exercise, prescription, side, painArc, ...size }: Shown): FigureState {
  const settings = JSON.stringify(prescription.settings);
  const { id, lane, drawnLike } = exercise;
  const { heightM, shankM, thighM } = size;
  const { joint, fromDeg, toDeg = null } = painArc ?? {};
  return useMemo((): FigureState => {
    const look: FigureLook = {
      left: side === "left",
      marked: lane === "upper-body" ? "arm" : "leg",
      ...(joint === undefined || fromDeg === undefined ? {} : { painArc: { joint, fromDeg, toDeg } }),
    };
    try {
      const body = lengthsOf({ heightM: heightM ?? usualHeightM, shankM, thighM });
      const prescribed = { settings: JSON.parse(settings) as Prescription["settings"] };
      const figure = figureOf({ id, drawnLike }, prescribed, body);
      if (!figure) return { ok: false, why: null };
      const measured = figureExtent(body, figure, look);
      return measured.ok ? { ok: true, body, figure, extent: measured.extent, look } : measured;
    } catch (error) {
      return { ok: false, why: (error as RangeError).message };
    }
  }, [settings, id, lane, drawnLike, heightM, shankM, thighM, side, joint, fromDeg, toDeg]);
}
