import type { Calls } from "~/contract/clinic";
import type { StopSignalCode, Urgency } from "~/core/intake/stop-signal";
import { isKey, t } from "~/messages/say";

interface Props {
  calls: Calls;
  code: StopSignalCode;
  urgency: Urgency;
}

/** Whom to call for a signal, and whom where it is more than it looks. */
export default function WhomToCall({ calls, code, urgency }: Props) {
  const more = `signal.more.${code}`;
  return (
    <div className="w-full font-medium">
      <p>{calls[urgency]}</p>
      {isKey(more) && <p className="text-error">{t(more, { ...calls })}</p>}
    </div>
  );
}
