import { OctagonX } from "lucide-react";
import type { Problem } from "~/contract/problem";
import type { StopSignalCode, Urgency } from "~/core/intake/stop-signal";
import { label, t } from "~/messages/say";

/** What a red flag's answer carries beside its title, which says whom to call. */
interface RedFlag {
  readonly urgency: Urgency;
  readonly signals: readonly StopSignalCode[];
}

/** A red flag ends the intake: how soon, for what, and whom to call. Null for any other problem. */
export function redFlagOf({ type, changed }: Problem): RedFlag | null {
  return type === "/problems/red-flag" ? (changed as RedFlag) : null;
}

export default function RedFlagNote({ title, flag }: { title: string; flag: RedFlag }) {
  return (
    <div
      className="border-error bg-error/10 rounded-box border-2 p-3"
      role="alert"
      data-testid="red-flag-note"
    >
      <p className="flex items-center gap-2 text-lg font-semibold">
        <OctagonX className="text-error size-6 shrink-0" aria-hidden />
        {t(`urgency.${flag.urgency}`)}
      </p>
      <p>{flag.signals.map((code) => label("signal", code)).join(" · ")}</p>
      <p className="font-medium">{title}</p>
    </div>
  );
}
