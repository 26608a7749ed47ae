import { commonTexts } from '../texts/commonTexts.ts';
import { kitTexts } from '../texts/kitTexts.ts';
import { Component, type ReactNode } from 'react';
import { Button } from './Button.tsx';
import { Notice } from './Notice.tsx';

interface PanelBoundaryProps {
  /** What the panel is called, for the words that stand in for it. */
  readonly name: string;
  /** A new value draws the panel anew, as for another case. */
  readonly resetKey?: string;
  readonly children: ReactNode;
}

interface PanelBoundaryState {
  readonly failed: boolean;
  /** The content for which that holds. */
  readonly resetKey: string;
}

/** Keeps a fault of one panel in that panel: the rest of the page goes on. */
export class PanelBoundary extends Component<PanelBoundaryProps, PanelBoundaryState> {
  override state: PanelBoundaryState = { failed: false, resetKey: this.props.resetKey ?? '' };

  static getDerivedStateFromProps(
    { resetKey = '' }: PanelBoundaryProps,
    state: PanelBoundaryState,
  ): PanelBoundaryState | null {
    return resetKey === state.resetKey ? null : { failed: false, resetKey };
  }

  static getDerivedStateFromError(): Partial<PanelBoundaryState> {
    return { failed: true };
  }

  override render(): ReactNode {
    if (!this.state.failed) return this.props.children;
    return (
      <Notice tone="caution">
        {this.props.name} {kitTexts.cannotBeShown}{' '}
        <Button kind="quiet" onPress={() => this.setState({ failed: false })}>
          {commonTexts.tryAgain}
        </Button>
      </Notice>
    );
  }
}
