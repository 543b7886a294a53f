import type { StopSignalCode, Urgency } from "~/core/intake/stop-signal";
import type { MessageKey } from "~/messages/en";
import { t } from "~/messages/say";

const calls: Readonly<Record<Urgency, MessageKey>> = {
  emergency: "phone.call",
  "same-day": "phone.callSame",
  soon: "phone.callSoon",
  review: "phone.callReview",
};

/** The patient's words for a sign. */
export const saySign = (code: StopSignalCode): string => t(`phone.is.${code}`);

/** How soon somebody has to be called. */
export const sayWhenToCall = (urgency: Urgency): string => t(calls[urgency]);
