import { useFormContext } from "react-hook-form";
import { instantOfLocal, localMinute } from "~/core/schedule/local-time";
import { t } from "~/messages/say";
import type { SessionDraft } from "./session-draft";

/** When the session was, in the clinic's time; now, unless somebody enters an earlier one. */
export default function SessionTime({ asOf, zone }: { asOf: string; zone: string }) {
  const { setValue, watch } = useFormContext<SessionDraft>();
  return (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {t("session.when")} ({t("session.clinicTime")})
      <input
        type="datetime-local"
        className="input w-56"
        value={localMinute(watch("occurredAt"), zone)}
        max={localMinute(asOf, zone)}
        onChange={(event) => {
          const chosen = event.target.value.slice(0, 16);
          if (chosen !== "") setValue("occurredAt", instantOfLocal(chosen, zone));
        }}
      />
    </label>
  );
}
