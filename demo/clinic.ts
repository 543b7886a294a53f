import { demoId } from "./identity";

/** An invented clinic; nobody here exists. */
export const demoClinic = {
  id: demoId("clinic"),
  name: "Tarn Street Movement Clinic",
  zone: "Europe/Vienna",
  calls: {
    emergency: "Call 112 now, then the clinic's duty line, 555 0142.",
    "same-day": "Duty line, 555 0142, until 20:00; after that the emergency department.",
    soon: "Leave a message at 555 0142: the sports physician calls back within a day.",
    review: "Jorun Vask or Sunniva Okoro, at the next session; 555 0142 for a message.",
  },
};

export const demoPassword = "one-step-at-a-time";

export const demoStaff = [
  { key: "clinician", name: "Jorun Vask", role: "clinician", email: "clinician@tarnstreet.example" },
  { key: "assistant", name: "Piet Almgren", role: "assistant", email: "assistant@tarnstreet.example" },
  { key: "lead", name: "Sunniva Okoro", role: "lead", email: "lead@tarnstreet.example" },
] as const;

export const demoStaffId = (key: string) => demoId("staff", key);
