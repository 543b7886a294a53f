declare namespace App {
  interface Locals {
    staff?: import("~/server/staff-context").StaffContext;
    /** The episode whose view failed, for the page that stands in for it. */
    unreadable?: string;
  }
}
