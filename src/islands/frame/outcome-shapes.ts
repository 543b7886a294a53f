import type { Attention } from "~/core/caseload/attention";
import type { Static } from "@sinclair/typebox";

export type Mark = Static<typeof Attention>;

/**
 * Shapes of the outcomes on a 24 × 24 field, drawn from the stair itself: treads going up or down, a tread one stays
 * on, a barred gate, a landing with the day not yet over. Shape and word carry the meaning; colour only follows.
 */
export const markShapes: Record<Mark, string> = {
  stop: "M5 4v16M12 4v16M19 4v16M3 9h18M3 15h18",
  unreadable: "M4 5h16v14H4zM8 9l8 6M16 9l-8 6",
  flare: "M3 6h6v6h6v6h4M15 14l4 4-4 4M17 3v5M17 11v.5",
  ease: "M3 6h6v6h6v6h4M15 14l4 4-4 4",
  rebaseline: "M3 15h18v5H3zM7 15v2M11 15v3M15 15v2M12 3v8M8 7l4 4 4-4",
  "report-missing": "M4 5h16v12H4zM8 21h8M8 9h8M8 13h3",
  wait: "M3 18h18M12 5a5 5 0 0 1 5 5v4H7v-4a5 5 0 0 1 5-5",
  "step-up": "M3 18h6v-6h6V6h4M15 2l4 4-4 4",
  "gate-open": "M4 20V6M20 20V6M4 6l6 3v9M20 6l-6 3v9",
  "lane-ready": "M3 18h6v-6h6V6h6M4 4h5",
  "look-again": "M12 4a8 8 0 1 0 8 8M12 8v4l3 2M20 4v4h-4",
  "no-change": "M6 3h12M6 21h12M8 3c0 5 8 7 8 9s-8 4-8 9M16 3c0 5-8 7-8 9s8 4 8 9",
  plateau: "M3 10h18M3 14h18",
  quiet: "M4 12h2M11 12h2M18 12h2",
  "maintenance-due": "M3 18h18M5 12a7 7 0 0 1 13-3M18 4v5h-5",
  "target-at-risk": "M5 21V4h11l-3 4 3 4H5",
  hold: "M3 18h18M12 8v10",
};

/** Text colour that goes with a mark. */
export const markTone: Record<Mark, string> = {
  stop: "text-error",
  unreadable: "text-error",
  flare: "text-error",
  ease: "text-warning",
  rebaseline: "text-warning",
  "report-missing": "text-info",
  wait: "text-info",
  "step-up": "text-success",
  "gate-open": "text-success",
  "lane-ready": "text-success",
  "look-again": "text-warning",
  "no-change": "text-warning",
  plateau: "text-warning",
  quiet: "text-warning",
  "maintenance-due": "text-info",
  "target-at-risk": "text-warning",
  hold: "text-base-content/70",
};
