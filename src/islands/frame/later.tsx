import { lazy, Suspense, useSyncExternalStore, type ComponentType, type ReactNode } from "react";

const never = () => () => undefined;

/** What stands in a part's place, and the mark that it is awaited still. */
const Pending = ({ children }: { children: ReactNode }) => (
  <>
    {children}
    <span hidden data-later />
  </>
);

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
      <Suspense fallback={<Pending>{place(props)}</Pending>}>
        <Part {...props} />
      </Suspense>
    );
  };
}
