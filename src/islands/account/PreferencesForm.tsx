import { useState } from "react";
import type { AccountView, Preferences, PreferencesBody } from "~/contract/account";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import Tap from "~/islands/frame/Tap";
import { showTheme, themeChoices } from "~/islands/frame/theme";
import WaysFields, { sayWay } from "~/islands/frame/WaysFields";
import { showWays } from "~/messages/ways";
import { letLetters } from "~/islands/frame/use-shortcuts";
import { t } from "~/messages/say";

interface Props {
  view: AccountView;
  onChanged: (view: AccountView) => void;
}

/** How somebody likes the product to be; it follows them to every browser. */
export default function PreferencesForm({ view, onChanged }: Props) {
  const [preferences, setPreferences] = useState(view.preferences);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [kept, setKept] = useState(false);
  const set = async (more: PreferencesBody) => {
    // At once: what was tapped stands as tapped; it goes back when it could not be kept.
    setPreferences({ ...preferences, ...more } as Preferences);
    const answer = await call("setPreferences", {}, more);
    setProblem(answer.ok ? null : answer.problem);
    setKept(answer.ok);
    if (!answer.ok) return setPreferences(preferences);
    if (more.theme) showTheme(more.theme);
    if (more.letters !== undefined) letLetters(more.letters);
    showWays({ ...answer.value.clinicWays, ...answer.value.preferences });
    onChanged(answer.value);
  };
  return (
    <section
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-3"
      data-testid="preferences"
    >
      <h2 className="text-lg font-semibold">{t("account.preferences")}</h2>
      <ProblemNote problem={problem} />
      <fieldset className="flex flex-wrap items-center gap-2">
        <legend className="mb-1 font-medium">{t("account.theme")}</legend>
        {themeChoices.map((theme) => (
          <Tap
            key={theme}
            name="theme"
            value={theme}
            checked={preferences.theme === theme}
            onChange={() => void set({ theme })}
            look="px-4"
          >
            {t(`account.theme.${theme}`)}
          </Tap>
        ))}
      </fieldset>
      <WaysFields
        value={preferences}
        open={(kind) => t("account.asClinic", { way: sayWay(kind, view.clinicWays[kind]) })}
        onChange={(more) => void set(more)}
      />
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="checkbox"
          checked={preferences.letters}
          onChange={(event) => void set({ letters: event.target.checked })}
        />
        {t("account.letters")}
      </label>
      <p role="status" className="text-success min-h-6 font-medium">
        {kept && t("account.kept")}
      </p>
    </section>
  );
}
