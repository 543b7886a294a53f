/**
 * What makes something of a fact, once: a fact is never altered, and while an episode is kept its facts are the same objects from
 * version to version. What was made goes with the fact.
 */
export function madeOnce<F extends object, M>(make: (fact: F) => M): (fact: F) => M {
  const made = new WeakMap<F, { readonly of: M }>();
  return (fact) => {
    const known = made.get(fact);
    if (known) return known.of;
    const fresh = { of: make(fact) };
    made.set(fact, fresh);
    return fresh.of;
  };
}
