import { demoId } from "./identity";

/** An invented clinic; nobody here exists. */
export const demoClinic = {
  id: demoId("clinic"),
  name: "Tarn Street Movement Clinic",
  zone: "Europe/Vienna",
  callWhom:
    "Emergency: 112. Same day: the clinic's duty line, 555 0142. Otherwise: leave a message, we call back within a day.",
};

export const demoPassword = "one-step-at-a-time";

export const demoStaff = [
  { key: "clinician", name: "Jorun Vask", role: "clinician", email: "clinician@tarnstreet.example" },
  { key: "assistant", name: "Piet Almgren", role: "assistant", email: "assistant@tarnstreet.example" },
  { key: "lead", name: "Sunniva Okoro", role: "lead", email: "lead@tarnstreet.example" },
] as const;

export const demoStaffId = (key: string) => demoId("staff", key);
