import { editionServed } from "~/islands/frame/edition";

const tried = "stair-edition-tried";

/** What this page was built as. */
const own = () => document.querySelector<HTMLMetaElement>('meta[name="stair-edition"]')?.content ?? null;

/** Whether the clinic's side is of another edition than this page, which may be one that the phone kept. */
export function isOtherEdition(): boolean {
  const served = editionServed();
  const mine = own();
  return served !== null && mine !== null && served !== mine;
}

/**
 * Fetches the page again where the clinic's side has a newer one; what waits to be sent and a run under way are kept on the phone.
 * Once for each edition: a phone that gets no other page goes on with the one it has.
 */
export async function takeNewEdition(): Promise<void> {
  const served = editionServed();
  if (served === null || !isOtherEdition() || sessionStorage.getItem(tried) === served) return;
  sessionStorage.setItem(tried, served);
  const registration = await navigator.serviceWorker?.getRegistration("/my").catch(() => undefined);
  await registration?.update().catch(() => undefined);
  location.reload();
}
