let served: string | null = null;

/** Header by which the server says of which edition its pages are. */
const header = "stair-edition";

export function noteEdition(headers: Headers): void {
  served = headers.get(header) ?? served;
}

/** The edition of the server's pages, as it said last; null before it has answered. */
export const editionServed = (): string | null => served;
