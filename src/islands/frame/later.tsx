import { lazy, Suspense, useSyncExternalStore, type ComponentType, type ReactNode } from "react";

const never = () => () => undefined;

/**
 * A part of a view that comes after it, so that the view answers to the hand sooner. The server sends what stands in its place:
 * React would fill it in by a script within the page, which the content policy forbids.
 *
 * @param load imports the part
 * @param place what stands there until it has come, of the same size
 */
export function later<P extends object>(
  load: () => Promise<{ default: ComponentType<P> }>,
  place: (props: P) => ReactNode = () => null,
) {
  const Part = lazy(load);
  return function Later(props: P) {
    const inBrowser = useSyncExternalStore(
      never,
      () => true,
      () => false,
    );
    if (!inBrowser) return place(props);
    return (
      <Suspense fallback={place(props)}>
        <Part {...props} />
      </Suspense>
    );
  };
}
