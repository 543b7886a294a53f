/**
 * Works something out when it is first asked for, and once. Where the work fails, it is done again when asked again.
 *
 * @example once(() => 2 + 2)() // 4
 */
export function once<T>(work: () => T): () => T {
  let done: { readonly value: T } | undefined;
  return () => (done ??= { value: work() }).value;
}
