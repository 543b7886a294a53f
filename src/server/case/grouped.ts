/** Entries by a key of theirs, in the order in which they stand. */
export function grouped<T>(entries: readonly T[], key: (entry: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const entry of entries) {
    const name = key(entry);
    const list = groups.get(name);
    if (list) list.push(entry);
    else groups.set(name, [entry]);
  }
  return groups;
}
