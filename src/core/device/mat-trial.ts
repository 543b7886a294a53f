import { jumpHeight } from "~/core/measure/jump-height";

/** Time on the mat, seconds from its first sample. */
interface Contact {
  readonly from: number;
  readonly to: number;
}

/** What was done on a jump mat. */
export interface MatTrial {
  readonly contacts: number;
  /** The first time in the air, and how high that was. */
  readonly flightSeconds: number | null;
  readonly heightCm: number | null;
  /** The contact before the highest flight that came out of a landing, and that height over it, m/s. */
  readonly contactSeconds: number | null;
  readonly reactiveIndex: number | null;
  /** Landings within thirty seconds of the first take-off. */
  readonly hopsIn30s: number;
  /** A landing touched twice: it counts as one. */
  readonly doubleLanding: boolean;
}

/** Nobody leaves the ground for less than this in a jump: a shorter gap is a foot that touched twice. */
const leastFlightSeconds = 0.1;
/** No foot touches for less than this: a shorter contact is the mat's own. */
const leastContactSeconds = 0.02;
/** Nobody stays in the air for longer: a longer gap is somebody who stepped off. */
const mostFlightSeconds = 1.2;
const hopsSeconds = 30;

/**
 * What a jump mat tells: flights, their height, the index of the best rebound, and hops.
 *
 * @param on whether somebody stood on the mat, sample by sample
 * @param sampleHz samples a second
 * @returns heights in centimetres, the index in m/s; null where there is no flight
 * @example matTrial([1, 1, 0, 0, 0, 0, 1, 1], 10).heightCm // 19.62
 * Source: height g·t²/8 see jumpHeight; index height over contact as in Young 1995, recalled; least times common practice.
 */
export function matTrial(on: readonly number[], sampleHz: number): MatTrial {
  const all = contactsOf(on, sampleHz);
  const merged = all.reduce<Contact[]>((told, contact) => {
    const last = told.at(-1);
    if (!last || contact.from - last.to >= leastFlightSeconds) return [...told, contact];
    return [...told.slice(0, -1), { from: last.from, to: contact.to }];
  }, []);
  const flights = merged.slice(1).map((landing, n) => {
    const before = merged[n] as Contact;
    return {
      from: before.to,
      seconds: landing.from - before.to,
      before,
      isFirst: n === 0,
      lands: landing.from,
    };
  });
  const real = flights.filter(({ seconds }) => seconds <= mostFlightSeconds);
  const [first] = real;
  // Who stood there did not come out of a landing; who dropped onto the mat did.
  const stood = (on[0] ?? 0) > 0.5;
  const heightOf = (seconds: number) => jumpHeight({ flightSeconds: seconds }).heightM;
  const rebound = real
    .filter(({ isFirst }) => !isFirst || !stood)
    .map(({ seconds, before }) => ({ height: heightOf(seconds), contact: before.to - before.from }))
    .sort((a, b) => b.height - a.height)[0];
  return {
    contacts: merged.length,
    flightSeconds: first?.seconds ?? null,
    heightCm: first ? heightOf(first.seconds) * 100 : null,
    contactSeconds: rebound?.contact ?? null,
    reactiveIndex: rebound ? rebound.height / rebound.contact : null,
    hopsIn30s: first ? real.filter(({ lands }) => lands <= first.from + hopsSeconds).length : 0,
    doubleLanding: all.length > merged.length,
  };
}

/** Times on the mat, the mat's own flickers left out. */
function contactsOf(on: readonly number[], sampleHz: number): Contact[] {
  const contacts: Contact[] = [];
  let from: number | null = null;
  for (let n = 0; n <= on.length; n += 1) {
    const isOn = (on[n] ?? 0) > 0.5;
    if (isOn && from === null) from = n;
    if (isOn || from === null) continue;
    const contact = { from: from / sampleHz, to: n / sampleHz };
    if (contact.to - contact.from >= leastContactSeconds) contacts.push(contact);
    from = null;
  }
  return contacts;
}
