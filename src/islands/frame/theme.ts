import type { Preferences } from "~/contract/account";

export const themeChoices = ["device", "light", "dark"] as const;

/** The theme of a choice by its name in the styles; none where the device decides. */
export const themeName = (choice: Preferences["theme"]): string | undefined =>
  ({ device: undefined, light: "quarry", dark: "quarry-night" })[choice];

/** Shows a theme at once. */
export function showTheme(choice: Preferences["theme"]): void {
  const name = themeName(choice);
  const { dataset } = document.documentElement;
  if (name === undefined) delete dataset["theme"];
  else dataset["theme"] = name;
}

/** What stands now: light or dark, whoever decided. */
export function shownTheme(): "light" | "dark" {
  const set = document.documentElement.dataset["theme"];
  const dark =
    set === undefined ? matchMedia("(prefers-color-scheme: dark)").matches : set === themeName("dark");
  return dark ? "dark" : "light";
}
