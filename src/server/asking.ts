import { AsyncLocalStorage } from "node:async_hooks";

const address = new AsyncLocalStorage<string | null>();

/** Answers a request in such a way that whatever is noted of it knows where it came from. */
export const askedFrom = <T>(from: string | null, answer: () => Promise<T>): Promise<T> =>
  address.run(from, answer);

/** Where the request that is being answered came from; null outside of one. */
export const addressAsking = (): string | null => address.getStore() ?? null;
