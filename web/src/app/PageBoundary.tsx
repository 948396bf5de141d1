import { Component, type ErrorInfo, type ReactNode } from 'react';
import { report } from '../api/report';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row } from '../kit/Panel';

interface Props {
  readonly children: ReactNode;
  /** Another page, another try. */
  readonly at: string;
}

interface State {
  /** The page in which something went wrong; empty until that is known. */
  readonly failed: string | null;
}

/** Where something in a page goes wrong, the page says so and can be tried again; nothing around it goes blank. */
export class PageBoundary extends Component<Props, State> {
  override state: State = { failed: null };

  static getDerivedStateFromError(): { failed: string } {
    return { failed: '' };
  }

  override componentDidCatch(error: Error, _info: ErrorInfo): void {
    report('error', error);
    this.setState({ failed: this.props.at });
  }

  override componentDidUpdate(before: Props): void {
    if (this.state.failed !== null && before.at !== this.props.at) this.setState({ failed: null });
  }

  override render(): ReactNode {
    if (this.state.failed === null) return this.props.children;
    return (
      <main id="main" style={{ padding: '1.2rem', maxWidth: '40rem', margin: '0 auto' }}>
        <Notice kind="act" title="Something went wrong in this page.">
          It has been told to whoever runs Keen Gauge. What you typed is kept.
          <Row style={{ marginTop: '0.5rem' }}>
            <Button
              onPress={() => {
                this.setState({ failed: null });
              }}
            >
              Try again
            </Button>
            <Button
              onPress={() => {
                window.location.reload();
              }}
            >
              Load the page anew
            </Button>
          </Row>
        </Notice>
      </main>
    );
  }
}
