import { Component, type ReactNode } from "react";
import { errorWords } from "../words/errorWords.js";

interface FailureState {
  readonly reason: string | null;
}

interface FailureProps {
  /** The address that is shown: at another one, what failed at this one stands no more. */
  readonly where: string;
  readonly children: ReactNode;
}

/** What stands where a part of the program could not be shown: says what, and that nothing is lost. */
export class Failure extends Component<FailureProps, FailureState> {
  override state: FailureState = { reason: null };

  static getDerivedStateFromError(error: unknown): FailureState {
    return { reason: errorWords(error) };
  }

  override componentDidUpdate({ where }: FailureProps): void {
    if (where !== this.props.where && this.state.reason !== null) this.setState({ reason: null });
  }

  override render(): ReactNode {
    const { reason } = this.state;
    if (reason === null) return this.props.children;
    return (
      <main className="p-7">
        <h1 className="text-title font-bold">This place could not be shown</h1>
        <p className="my-3">{reason}. Nothing that was saved is lost.</p>
        <a href="/ahead" className="text-clear underline">
          Load Ahead again
        </a>
      </main>
    );
  }
}
