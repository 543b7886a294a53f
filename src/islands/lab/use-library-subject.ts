import { useEffect, useState } from "react";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import { ofLibrary, type LabSubject } from "./lab-subject";

/**
 * An exercise of the library to be looked at in the lab.
 *
 * @param code its code; null asks nothing
 * @returns null while it is awaited or where none was asked
 */
export function useLibrarySubject(
  code: string | null,
  variantId: string | null,
): { readonly subject: LabSubject | null; readonly problem: Problem | null } {
  const [told, setTold] = useState<{ code: string; subject: LabSubject } | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  useEffect(() => {
    if (code === null) return undefined;
    let isWanted = true;
    void call("readExercise", { code }).then((found) => {
      if (!isWanted) return;
      setProblem(found.ok ? null : found.problem);
      if (found.ok) setTold({ code, subject: ofLibrary(found.value, variantId) });
    });
    return () => {
      isWanted = false;
    };
  }, [code, variantId]);
  return { subject: told !== null && told.code === code ? told.subject : null, problem };
}
