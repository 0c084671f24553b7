import { Component, type ReactNode } from 'react';

interface SafelyProps {
  readonly children: ReactNode;
  /** What is shown in the place of what broke; `again` tries to draw it anew. */
  readonly broken: (again: () => void) => ReactNode;
  /** When any of these changes, what broke is drawn anew by itself. */
  readonly of?: readonly unknown[];
}

interface SafelyState {
  readonly failed: boolean;
  readonly of: readonly unknown[];
}

/** Keeps a fault in one part of a page from taking the rest with it. React asks for a class here. */
export class Safely extends Component<SafelyProps, SafelyState> {
  override state: SafelyState = { failed: false, of: this.props.of ?? [] };

  static getDerivedStateFromError(): Partial<SafelyState> {
    return { failed: true };
  }

  static getDerivedStateFromProps({ of = [] }: SafelyProps, state: SafelyState): SafelyState | null {
    return of.every((each, at) => each === state.of[at]) ? null : { failed: false, of };
  }

  override componentDidCatch(error: unknown): void {
    console.error(error);
  }

  override render(): ReactNode {
    if (!this.state.failed) return this.props.children;
    return this.props.broken(() => this.setState({ failed: false }));
  }
}
