/// <reference types="astro/client" />
/// <reference types="w3c-web-serial" />
declare namespace App {
  interface Locals {
    staff?: import("~/server/staff-context").StaffContext;
    /** A patient's own phone that asks. */
    phone?: import("~/server/phone-context").PhoneContext;
    /** The episode whose view failed, for the page that stands in for it. */
    unreadable?: string;
  }
}
