import { Component, type ErrorInfo, type ReactNode } from 'react';

interface Props {
  /** What stands there instead when the part below it fails. */
  instead: (error: Error, retry: () => void) => ReactNode;
  children: ReactNode;
}

/** A part that may fail alone: what is round it stays. */
export class Guard extends Component<Props, { error: Error | undefined }> {
  override state: { error: Error | undefined } = { error: undefined };
  static getDerivedStateFromError(error: Error) {
    return { error };
  }
  override componentDidCatch(error: Error, { componentStack }: ErrorInfo) {
    console.error(error, componentStack);
  }
  override render() {
    const { error } = this.state;
    return error ? this.props.instead(error, () => this.setState({ error: undefined })) : this.props.children;
  }
}
