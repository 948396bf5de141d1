import { useEffect, useState, type ComponentType } from 'react';
import { report } from '../api/report';
import { Waiting } from '../app/Waiting';
import { Button } from './Button';
import { Notice } from './Notice';
import { Row } from './Panel';

export type LazyPart<P extends object> = ComponentType<P> & { readonly fetchAhead: () => void };

/**
 * A part of the application that is fetched when it is first shown. Where it cannot be fetched, with no connection or after a newer version has taken the place of
 * this one, the rest of the page stays, says so, and can try again. `fetchAhead` has it come before it is asked for.
 */
export function lazyPart<P extends object>(load: () => Promise<{ default: ComponentType<P> }>): LazyPart<P> {
  let loaded: ComponentType<P> | undefined;
  const fetchAhead = (): void => {
    load().then(
      (made) => {
        loaded = made.default;
      },
      // Told when it is shown and does not come.
      () => undefined,
    );
  };
  return Object.assign(
    function LazyPart(props: P) {
      const [Part, setPart] = useState<ComponentType<P> | undefined>(() => loaded);
      const [tries, setTries] = useState(0);
      const [missing, setMissing] = useState(false);
      const isHere = Part !== undefined;
      useEffect(() => {
        if (isHere) return;
        let gone = false;
        // Asked for again even where it has come between the drawing and now: it is here at once, and has to be told.
        load().then(
          (made) => {
            loaded = made.default;
            if (!gone) setPart(() => made.default);
          },
          (error: unknown) => {
            report('part-missing', error);
            if (!gone) setMissing(true);
          },
        );
        return () => {
          gone = true;
        };
      }, [tries, isHere]);
      if (Part) return <Part {...props} />;
      if (!missing) return <Waiting />;
      return (
        <PartMissing
          onTryAgain={() => {
            setMissing(false);
            setTries(tries + 1);
          }}
        />
      );
    },
    { fetchAhead },
  );
}

function PartMissing({ onTryAgain }: { readonly onTryAgain: () => void }) {
  return (
    <Notice kind="act" title="This part could not be loaded.">
      There is no connection, or a newer version of Keen Gauge has taken the place of this one. What you typed is kept.
      <Row style={{ marginTop: '0.5rem' }}>
        <Button onPress={onTryAgain}>Try again</Button>
        <Button
          onPress={() => {
            window.location.reload();
          }}
        >
          Load the newest version
        </Button>
      </Row>
    </Notice>
  );
}
