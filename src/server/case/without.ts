/** A fact without some of its fields. */
export const without = <T extends object, K extends keyof T>(fact: T, ...keys: K[]): Omit<T, K> =>
  Object.fromEntries(Object.entries(fact).filter(([key]) => !keys.includes(key as K))) as Omit<T, K>;
