import { useEffect, useRef } from "react";
import type { EndpointName } from "~/contract/addresses";

const event = "patient-news";

/** What was written of the patient whose views are open, and what the endpoint answered. */
export interface PatientNews {
  readonly endpoint: EndpointName;
  readonly answer: unknown;
}

/** Tells every island of the page that something was written. */
export function tellNews(news: PatientNews): void {
  window.dispatchEvent(new CustomEvent<PatientNews>(event, { detail: news }));
}

/** Hears of everything that any island of the page writes. */
export function usePatientNews(hear: (news: PatientNews) => void): void {
  const latest = useRef(hear);
  useEffect(() => {
    latest.current = hear;
  });
  useEffect(() => {
    const heard = (message: Event) => latest.current((message as CustomEvent<PatientNews>).detail);
    window.addEventListener(event, heard);
    return () => window.removeEventListener(event, heard);
  }, []);
}
