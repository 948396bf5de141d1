import type { Survey } from '@keen-gauge/core/survey/survey';
import { startTransition, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { SurveyStore } from './survey-store';

/** What somebody does next, told before the browser itself does anything about it. */
const ABOUT_TO_ACT = ['pointerdown', 'keydown', 'beforeinput', 'click'] as const;

/**
 * The survey as the page around the field that is typed in shows it. The field has its own place (`useField`) and is drawn at once; the gauge, the walk
 * and the station follow in pieces between frames, begun anew where another key comes. Before anybody does anything else all of it has followed, so that
 * everything is done to what is there and not to what was there before the last key.
 */
export function useShown(store: SurveyStore, later: (work: () => void) => void = afterFrame): Survey {
  const [shown, show] = useState(() => store.get().survey);
  const drawn = useRef(shown);
  useLayoutEffect(() => {
    drawn.current = shown;
  }, [shown]);

  useEffect(() => {
    let isToFollow = false;
    let asked = drawn.current;
    const showNow = (): void => {
      asked = store.get().survey;
      show(asked);
    };
    const follow = (): void => {
      if (isToFollow || asked === store.get().survey) return;
      isToFollow = true;
      later(() => {
        isToFollow = false;
        startTransition(showNow);
      });
    };
    const catchUp = (event: Event): void => {
      if (drawn.current !== store.get().survey && !isAnswerItself(event)) flushSync(showNow);
    };
    // What came between the first drawing and now.
    follow();
    const stop = store.subscribe(follow);
    for (const kind of ABOUT_TO_ACT) window.addEventListener(kind, catchUp, { capture: true });
    return () => {
      stop();
      for (const kind of ABOUT_TO_ACT) window.removeEventListener(kind, catchUp, { capture: true });
    };
  }, [store, later]);
  return shown;
}

/** A tick or an answer that has been changed by the browser already and not been read: drawing it now would take it back. The press before it has caught up. */
const isAnswerItself = ({ type, target }: Event): boolean =>
  type === 'click' && target instanceof HTMLInputElement && (target.type === 'radio' || target.type === 'checkbox');

/** Once the frame that has the key in it is on the screen; at once where no frame is drawn, since nobody looks. */
function afterFrame(work: () => void): void {
  if (document.visibilityState === 'hidden') work();
  else
    requestAnimationFrame(() => {
      setTimeout(work, 0);
    });
}
