import { massOf, usualHeightM } from "~/catalogue/demands/book";
import type { LoadBody } from "~/contract/load-body";
import type { CaseFile } from "~/core/case/case-file";
import { measuredBody, measuredLimbs } from "~/core/case/measured-body";
import { drawnHeights } from "~/core/pose/body-lengths";

/** The body that loads are worked out for: as measured last, of middle build where nobody measured it. */
export function loadBody(file: Pick<CaseFile, "results">): LoadBody {
  const body = measuredBody(file);
  const heightM = Math.min(drawnHeights.high, Math.max(drawnHeights.low, body.heightM ?? usualHeightM));
  return {
    heightM,
    massKg: massOf({ ...body, heightM }),
    heightMeasured: body.heightM !== null,
    massMeasured: body.massKg !== null,
    ...measuredLimbs(file),
  };
}
