declare namespace App {
  interface Locals {
    staff?: import("./server/auth/staff-context").StaffContext;
  }
}
