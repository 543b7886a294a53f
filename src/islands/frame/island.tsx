import { Component, createRef, type ComponentType, type ReactNode } from "react";
import { doAgain, earlyFields, type EarlyField } from "./early-taps";
import IslandStopped from "./IslandStopped";
import { typedWords } from "./typed-words";

interface Props {
  children: ReactNode;
  /** Drops what was kept of this view, so that it can begin anew; absent where nothing is kept. */
  beginAnew: (() => void) | null;
}

interface State {
  readonly stopped: string | null;
  /** What stood in the fields when it stopped. */
  readonly typed: string;
}

/**
 * Stands round every island: when drawing it fails, the rest of the page stays, the person is told, and what stood in
 * its fields is shown to be copied. What was typed or tapped before it was alive is done again.
 */
class IslandBoundary extends Component<Props, State> {
  override state: State = { stopped: null, typed: "" };
  private readonly box = createRef<HTMLDivElement>();
  /** What was typed and tapped before it was alive, as it stands when it begins to be. */
  private readonly early: readonly EarlyField[] = typeof document === "undefined" ? [] : earlyFields();

  override componentDidMount(): void {
    if (this.box.current) doAgain(this.early, this.box.current);
  }

  static getDerivedStateFromError(error: unknown): Partial<State> {
    return { stopped: error instanceof Error ? error.message : String(error) };
  }

  /** The last moment at which the fields are still in the document. */
  override getSnapshotBeforeUpdate(_props: Props, before: State): string | null {
    const stopping = before.stopped === null && this.state.stopped !== null;
    return stopping && this.box.current ? typedWords(this.box.current) : null;
  }

  override componentDidUpdate(_props: Props, _state: State, typed: string | null): void {
    // oxlint-disable-next-line react/no-did-update-set-state -- the words are read from the fields just before they go
    if (typed) this.setState({ typed });
  }

  override render(): ReactNode {
    const { stopped, typed } = this.state;
    return (
      <div ref={this.box} className="contents">
        {stopped === null ? (
          this.props.children
        ) : (
          <IslandStopped why={stopped} typed={typed} beginAnew={this.props.beginAnew} />
        )}
      </div>
    );
  }
}

/**
 * Makes a view an island of a page. Every component that a page or layout brings to life is made by this.
 *
 * @param beginAnew drops what the view keeps on the device or asks for it to be passed over, and loads the page again
 */
export function island<P extends object>(View: ComponentType<P>, beginAnew?: (props: P) => void) {
  return function Island(props: P) {
    return (
      <IslandBoundary beginAnew={beginAnew ? () => beginAnew(props) : null}>
        <View {...props} />
      </IslandBoundary>
    );
  };
}
