import { call, type Answer } from "~/islands/frame/call";
import { isOtherEdition } from "./edition";
import { dropWaiting, keep, readKept, readWaiting, type Waiting } from "~/workers/phone/phone-store";

/** How sending ended: all is sent, the clinic's side could not be reached, or this phone may not send any more. */
export type Sent = "all" | "later" | "shut";

/** Sends one thing, with the time of its sending by this phone's clock. */
function send(what: Waiting): Promise<Answer<unknown>> {
  const sentAt = new Date().toISOString();
  if (what.name === "tellSession") return call("tellSession", {}, { ...what.body, sentAt });
  if (what.name === "tellMorning") return call("tellMorning", {}, { ...what.body, sentAt });
  return call("tellSignal", {}, { ...what.body, sentAt });
}

let sending: Promise<Sent> | null = null;
let askedAgain = false;

/**
 * Sends what waits, in the order in which it was told. What was taken goes; what is refused for good goes too, and is kept with
 * its reason to be shown; where nobody answers, the rest waits. One sender at a time: who asks meanwhile, because there is a
 * connection again or something new was told, is heard once it is through.
 */
export function sendWaiting(): Promise<Sent> {
  if (sending) askedAgain = true;
  sending ??= untilHeard().finally(() => (sending = null));
  return sending;
}

async function untilHeard(): Promise<Sent> {
  for (;;) {
    askedAgain = false;
    const sent = await sendAll();
    if (sent === "shut" || !askedAgain) return sent;
  }
}

async function sendAll(): Promise<Sent> {
  for (const { key, what } of await readWaiting()) {
    const answer = await send(what);
    if (!answer.ok) {
      const { status, type, title, problems } = answer.problem;
      if (type === "/problems/phone-not-open") return "shut";
      if (status === 0 || status >= 500 || status === 429) return "later";
      // A page of today may know how to say it: nothing is given up by an old one.
      if (isOtherEdition()) return "later";
      const why = problems?.[0] ? `${title} ${problems[0].problem}` : title;
      // Where there is no room to say so later, it stays among what waits, and is not lost in silence.
      const isSaid = await keep("notTaken", [...((await readKept("notTaken")) ?? []), { what, why }]).then(
        () => true,
        () => false,
      );
      if (!isSaid) continue;
    }
    await dropWaiting(key);
  }
  return "all";
}
