import { BookOpen, Building2, CircleHelp, LogOut, Search, SunMoon, UserRound } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { later } from "./later";
import type { Role } from "~/contract/roles";
import { t } from "~/messages/say";
import { call } from "./call";
import { askWhenSignedOut } from "./signed-out";
import { island } from "~/islands/frame/island";
import { useShortcuts } from "~/islands/frame/use-shortcuts";

const parts = () => import("./later-parts");
const KeysDialog = later(async () => ({ default: (await parts()).KeysDialog }));
const SignInAgain = later(async () => ({ default: (await parts()).SignInAgain }));
const Palette = later(
  async () => ({ default: (await parts()).Palette }),
  () => <span hidden data-opening />,
);

interface Props {
  name: string;
  email: string;
  role: Role;
  clinic: string;
}

async function signOut() {
  sessionStorage.clear();
  await call("signOut", {});
  location.assign("/sign-in");
}

/** The other theme, now and wherever this person signs in. */
async function switchTheme() {
  const { showTheme, shownTheme } = await import("./theme");
  const theme = shownTheme() === "light" ? "dark" : "light";
  showTheme(theme);
  await call("setPreferences", {}, { theme });
}

/** Name of the clinic, who is signed in, and what works on every page. */
function TopBar({ name, email, role, clinic }: Props) {
  const [helping, setHelping] = useState(false);
  const [finding, setFinding] = useState(false);
  useEffect(() => {
    void parts().then(({ watchSession }) => watchSession());
  }, []);
  const [signingIn, setSigningIn] = useState(false);
  const settle = useRef<(signedIn: boolean) => void>(undefined);
  useEffect(() => {
    return askWhenSignedOut(
      () =>
        new Promise((resolve) => {
          settle.current = resolve;
          setSigningIn(true);
        }),
    );
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
          <span className="hidden max-w-80 truncate md:inline">{clinic}</span>
          <span className="md:hidden">{t("frame.caseload")}</span>
        </a>
        <button
          type="button"
          className="btn btn-ghost text-(--bar-content) hover:text-base-content ml-auto"
          onClick={() => setFinding(true)}
          aria-keyshortcuts="Control+K"
        >
          <Search className="size-5" aria-hidden />
          <span className="max-md:sr-only">{t("frame.find")}</span>
          <kbd className="kbd kbd-sm text-base-content max-lg:hidden">Ctrl K</kbd>
        </button>
        <a
          href="/library"
          className="btn btn-ghost max-[359px]:hidden text-(--bar-content) hover:text-base-content"
        >
          <BookOpen className="size-5" aria-hidden />
          <span className="max-md:sr-only">{t("frame.library")}</span>
        </a>
        <a
          href="/clinic"
          className="btn btn-ghost btn-square text-(--bar-content) hover:text-base-content"
          aria-label={t("frame.clinic")}
          title={t("frame.clinic")}
        >
          <Building2 className="size-5" aria-hidden />
        </a>
        <a
          href="/account"
          className="btn btn-ghost max-sm:btn-square text-(--bar-content) hover:text-base-content"
          aria-label={`${t("frame.account")}: ${name}, ${t(`role.${role}`)}`}
        >
          <UserRound className="size-5" aria-hidden />
          <span className="hidden text-sm font-normal lg:inline">
            {name}, {t(`role.${role}`)}
          </span>
        </a>
        <button
          type="button"
          className="btn btn-ghost btn-square max-sm:hidden text-(--bar-content) hover:text-base-content"
          onClick={() => void switchTheme()}
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
          <span className="hidden md:inline">{t("frame.signOut")}</span>
        </button>
      </div>
      {signingIn && (
        <SignInAgain
          email={email}
          name={name}
          onDone={() => {
            setSigningIn(false);
            settle.current?.(true);
          }}
        />
      )}
      {helping && <KeysDialog onClose={() => setHelping(false)} />}
      {finding && (
        <Palette
          actions={[
            { name: t("frame.keys"), run: () => setHelping(true) },
            { name: t("frame.theme"), run: () => void switchTheme() },
            { name: t("frame.signOut"), run: () => void signOut() },
          ]}
          onClose={() => setFinding(false)}
        />
      )}
    </header>
  );
}

export default island(TopBar);
