import { DateTime } from "luxon";
import { useFormContext } from "react-hook-form";
import { t } from "~/messages/say";
import type { SessionDraft } from "./session-draft";

/** When the session was, in the clinic's time; now, unless somebody enters an earlier one. */
export default function SessionTime({ asOf, zone }: { asOf: string; zone: string }) {
  const { setValue, watch } = useFormContext<SessionDraft>();
  const local = (instant: string) => DateTime.fromISO(instant, { zone }).toFormat("yyyy-MM-dd'T'HH:mm");
  return (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {t("session.when")} ({t("session.clinicTime")})
      <input
        type="datetime-local"
        className="input w-56"
        value={local(watch("occurredAt"))}
        max={local(asOf)}
        onChange={(event) => {
          const chosen = DateTime.fromISO(event.target.value, { zone });
          if (chosen.isValid) setValue("occurredAt", chosen.toUTC().toISO());
        }}
      />
    </label>
  );
}
