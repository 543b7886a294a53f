import { BookOpen, CircleHelp, LogOut, Phone, Search, SunMoon } from "lucide-react";
import { useEffect, useState } from "react";
import { later } from "./later";
import type { Role } from "~/contract/roles";
import { t } from "~/messages/say";
import { call } from "./call";
import { island } from "~/islands/frame/island";
import { useShortcuts } from "~/islands/frame/use-shortcuts";

const KeysDialog = later(() => import("./KeysDialog"));
const loadPalette = () => import("./Palette");
const Palette = later(loadPalette, () => <span hidden data-opening />);

interface Props {
  name: string;
  role: Role;
  clinic: string;
}

const themes = ["quarry", "quarry-night"] as const;

async function signOut() {
  sessionStorage.clear();
  await call("signOut", {});
  location.assign("/sign-in");
}

function switchTheme() {
  const root = document.documentElement;
  const dark = matchMedia("(prefers-color-scheme: dark)").matches;
  const present = root.dataset["theme"] ?? themes[dark ? 1 : 0];
  const next = themes[present === themes[0] ? 1 : 0];
  root.dataset["theme"] = next;
  localStorage.setItem("theme", next);
}

/** Name of the clinic, who is signed in, and what works on every page. */
function TopBar({ name, role, clinic }: Props) {
  const [helping, setHelping] = useState(false);
  const [finding, setFinding] = useState(false);
  useEffect(() => {
    void loadPalette();
    const kept = localStorage.getItem("theme");
    if (kept) document.documentElement.dataset["theme"] = kept;
  }, []);
  const find = (event: KeyboardEvent) => {
    event.preventDefault();
    setFinding(true);
  };
  useShortcuts({
    "$mod+k": find,
    "?": () => setHelping(true),
    c: () => location.assign("/"),
    n: () => location.assign("/intake"),
    l: () => location.assign("/library"),
  });

  return (
    <header className="bg-(--bar) text-(--bar-content) print:hidden">
      <div className="mx-auto flex max-w-7xl items-center gap-2 px-4 max-sm:gap-0">
        <a href="/" className="flex min-h-11 items-center gap-2 rounded-md pr-2 font-semibold">
          <svg viewBox="0 0 32 32" className="size-7" aria-hidden>
            <path d="M3 26h8v-7h7v-7h11" fill="none" stroke="currentColor" strokeWidth="3" />
          </svg>
          <span className="hidden sm:inline">{clinic}</span>
          <span className="sm:hidden">{t("frame.caseload")}</span>
        </a>
        <button
          type="button"
          className="btn btn-ghost text-(--bar-content) hover:text-base-content ml-auto"
          onClick={() => setFinding(true)}
          aria-keyshortcuts="Control+K"
        >
          <Search className="size-5" aria-hidden />
          <span className="max-sm:sr-only">{t("palette.open")}</span>
          <kbd className="kbd kbd-sm text-base-content max-lg:hidden">Ctrl K</kbd>
        </button>
        <a href="/library" className="btn btn-ghost text-(--bar-content) hover:text-base-content">
          <BookOpen className="size-5" aria-hidden />
          <span className="max-sm:sr-only">{t("library.title")}</span>
        </a>
        <a
          href="/clinic"
          className="btn btn-ghost btn-square text-(--bar-content) hover:text-base-content"
          aria-label={t("calls.title")}
          title={t("calls.title")}
        >
          <Phone className="size-5" aria-hidden />
        </a>
        <span className="hidden text-sm sm:inline">
          {name}, {t(`role.${role}`)}
        </span>
        <button
          type="button"
          className="btn btn-ghost btn-square max-[359px]:hidden text-(--bar-content) hover:text-base-content"
          onClick={switchTheme}
          aria-label={t("frame.theme")}
        >
          <SunMoon className="size-5" aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-square max-sm:hidden text-(--bar-content) hover:text-base-content"
          onClick={() => setHelping(true)}
          aria-label={t("frame.keys")}
        >
          <CircleHelp className="size-5" aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-ghost max-sm:btn-square text-(--bar-content) hover:text-base-content"
          onClick={signOut}
          aria-label={t("frame.signOut")}
        >
          <LogOut className="size-5" aria-hidden />
          <span className="hidden sm:inline">{t("frame.signOut")}</span>
        </button>
      </div>
      {helping && <KeysDialog onClose={() => setHelping(false)} />}
      {finding && (
        <Palette
          actions={[
            { name: t("frame.keys"), run: () => setHelping(true) },
            { name: t("frame.theme"), run: switchTheme },
            { name: t("frame.signOut"), run: () => void signOut() },
          ]}
          onClose={() => setFinding(false)}
        />
      )}
    </header>
  );
}

export default island(TopBar);
