import { Component, type ErrorInfo, type ReactNode } from 'react';
import { report } from '../api/report';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row } from '../kit/Panel';

interface Props {
  readonly children: ReactNode;
  /** Another page or station, another try. */
  readonly at: string;
  /** What it stands round: a page of its own, or one part of a page that goes on around it. */
  readonly of?: 'page' | 'part';
}

interface State {
  /** Where something went wrong; empty until that is known. */
  readonly failed: string | null;
}

/** Where something in a page or a station goes wrong, it says so and can be tried again; nothing around it goes blank. */
export class Boundary extends Component<Props, State> {
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
    const told = (
      <Notice kind="act" title="Something went wrong here.">
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
            Reload the page
          </Button>
        </Row>
      </Notice>
    );
    return this.props.of === 'part' ? (
      told
    ) : (
      <main id="main" style={{ padding: '1.2rem', maxWidth: '40rem', margin: '0 auto' }}>
        {told}
      </main>
    );
  }
}
