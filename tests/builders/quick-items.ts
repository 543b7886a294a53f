import type { QuickItem } from "~/core/session/read-quick-line";
import { exerciseWith, strength } from "./decide-input";

const { faults } = exerciseWith({}, [], strength);
export const squat: QuickItem = {
  name: "Two-leg squat",
  dose: { ...strength, loadKg: 20 },
  sides: "both-together",
  faults: [...faults, { code: "heels-up", name: "Heels lift" }],
};
export const stepUp: QuickItem = { name: "Side step-up", dose: strength, sides: "each-side", faults };
export const squeeze: QuickItem = {
  name: "Ball squeeze",
  dose: {
    style: "squeeze",
    policy: "effort-band",
    sets: 5,
    hold: { bottom: 10, top: 10 },
    restSeconds: 30,
    daysPerWeek: 4,
  },
  sides: "both-together",
  faults: [],
};
export const hops: QuickItem = {
  name: "Hop in place",
  dose: {
    style: "plyometric",
    policy: "contacts",
    sets: 2,
    contacts: { bottom: 20, top: 30 },
    restSeconds: 60,
    daysPerWeek: 2,
  },
  sides: "each-side",
  faults,
};
