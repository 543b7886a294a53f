import { csvFormat } from "d3";
import type { AuditLine } from "~/contract/trust";

/**
 * Lines of the log as a table with a row of heads. A cell that a spreadsheet would take for a formula begins with an
 * apostrophe: a name is somebody else's text (OWASP, CSV injection).
 */
export function logTable(lines: readonly AuditLine[]): string {
  return csvFormat(
    lines.map(({ at, by, action, kind, person, outcome, address, link }) => ({
      link,
      at,
      by: asText(by),
      action,
      kind,
      person: person === null ? null : asText(person),
      outcome,
      address,
    })),
  );
}

const asText = (cell: string): string => (/^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell);
