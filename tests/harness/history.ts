/** A write of one thing into one record: when it was sent, and when its answer came; null where none came. */
export interface WriteSeen {
  readonly id: string;
  readonly sentAt: number;
  readonly answeredAt: number | null;
}

/** A reading of that record: when it was asked, when it was answered, which version, and every id that stood in it. */
export interface ReadSeen {
  readonly askedAt: number;
  readonly answeredAt: number;
  readonly version: number;
  readonly ids: readonly string[];
}

/**
 * What in a history cannot have come about by writes that took place one after the other, each at some moment between its sending and
 * its answer (Herlihy and Wing 1990, "Linearizability", ACM TOPLAS 12(3)), for a record that only grows: an answered write that a later
 * reading misses, one that stands twice, a thing read before it was sent, readings that contradict one order of versions, and a
 * reading older than one that had ended before it began.
 *
 * @returns a sentence for each; none where the history holds
 * @example faultsIn([{ id: "a", sentAt: 0, answeredAt: 1 }], [{ askedAt: 2, answeredAt: 3, version: 1, ids: [] }]) // ["a was answered at 1 and is missing in what was asked at 2"]
 */
export function faultsIn(writes: readonly WriteSeen[], reads: readonly ReadSeen[]): string[] {
  const sent = new Map(writes.map((write) => [write.id, write]));
  const faults: string[] = [];
  for (const { askedAt, answeredAt, ids } of reads) {
    const seen = new Set(ids);
    if (seen.size < ids.length) faults.push(`something stands twice in what was asked at ${askedAt}`);
    for (const { id, sentAt, answeredAt: kept } of writes) {
      if (kept !== null && kept < askedAt && !seen.has(id))
        faults.push(`${id} was answered at ${kept} and is missing in what was asked at ${askedAt}`);
      if (seen.has(id) && sentAt > answeredAt)
        faults.push(`${id} was read at ${answeredAt} and sent at ${sentAt}`);
    }
    for (const id of ids) if (!sent.has(id)) faults.push(`${id} was read and never sent`);
  }
  const byVersion = [...reads].sort((a, b) => a.version - b.version || a.ids.length - b.ids.length);
  byVersion.slice(1).forEach((later, n) => {
    const earlier = byVersion[n] as ReadSeen;
    const seen = new Set(later.ids);
    const isSame = later.version === earlier.version;
    if (earlier.ids.some((id) => !seen.has(id)) || (isSame && later.ids.length !== earlier.ids.length))
      faults.push(`versions ${earlier.version} and ${later.version} are of no one order`);
  });
  const byEnd = [...reads].sort((a, b) => a.answeredAt - b.answeredAt);
  let newest = -Infinity;
  let ended = 0;
  for (const read of [...reads].sort((a, b) => a.askedAt - b.askedAt)) {
    for (let next = byEnd[ended]; next && next.answeredAt < read.askedAt; next = byEnd[(ended += 1)])
      newest = Math.max(newest, next.version);
    if (read.version < newest)
      faults.push(`version ${read.version} was read at ${read.askedAt}, after version ${newest} had been`);
  }
  return faults;
}
