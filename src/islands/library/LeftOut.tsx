import type { LibraryAnswer, LibraryPatient } from "~/contract/library";
import { t } from "~/messages/say";
import { exerciseHref } from "./LibraryCard";

interface Props {
  patient: LibraryPatient;
  leftOut: LibraryAnswer["leftOut"];
}

/** What was filtered away for this patient, reason by reason, with the variants behind each. */
export default function LeftOut({ patient, leftOut }: Props) {
  const count = leftOut.reduce((sum, reason) => sum + reason.count, 0);
  if (count === 0) return null;
  return (
    <section className="mt-3" data-testid="left-out">
      <h2 className="font-semibold">{t("library.leftOut", { count, name: patient.person.givenName })}</h2>
      <ul className="mt-1 grid gap-1 lg:grid-cols-2">
        {leftOut.map((reason) => {
          const says = reason.says ?? t("library.notStage", { stage: patient.stageName });
          return (
            <li key={says} className="bg-base-100 border-base-300 rounded-box border">
              <details>
                <summary className="flex min-h-11 cursor-pointer items-center px-3">
                  {t("library.reason", { says, count: reason.count })}
                </summary>
                <ul className="border-base-300 border-t px-3 py-1 text-sm">
                  {reason.variants.map(({ exerciseId, variantId, name }) => (
                    <li key={variantId}>
                      <a
                        className="link flex min-h-11 items-center"
                        href={exerciseHref(exerciseId, variantId, patient.episodeId)}
                      >
                        {name}
                      </a>
                    </li>
                  ))}
                </ul>
              </details>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
