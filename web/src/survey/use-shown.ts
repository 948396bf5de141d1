import type { Survey } from '@keen-gauge/core/survey/survey';
import { startTransition, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { showsItself } from '../kit/pressed';
import type { SurveyStore } from './survey-store';

/** What somebody does next, told before the browser itself does anything about it. */
const ABOUT_TO_ACT = ['pointerdown', 'keydown', 'beforeinput', 'click', 'input'] as const;

/**
 * The survey as the page around the field that is typed in or answered shows it. The field has its own place (`useField`) and is drawn at once; the gauge, the walk
 * and the station follow in pieces between frames, begun anew where another key comes. Before anybody does anything else all of it has followed, so that
 * everything is done to what is there and not to what was there before the last key. What any other button does is shown at once: it may be what is pressed next
 * that it puts somewhere else.
 */
export function useShown(store: SurveyStore, later: (work: () => void) => void = afterFrame): Survey {
  const [shown, show] = useState(() => store.get().survey);
  const drawn = useRef(shown);
  useLayoutEffect(() => {
    drawn.current = shown;
  }, [shown]);

  useEffect(() => {
    let isShowingItself = false;
    let isToFollow = false;
    let asked = drawn.current;
    const showNow = (): void => {
      asked = store.get().survey;
      show(asked);
    };
    const follow = (): void => {
      if (asked === store.get().survey) return;
      if (!isShowingItself) showNow();
      else if (!isToFollow) {
        isToFollow = true;
        later(() => {
          isToFollow = false;
          startTransition(showNow);
        });
      }
    };
    const act = (event: Event): void => {
      isShowingItself = showsItself(event.target);
      if (drawn.current !== store.get().survey && !isHalfDone(event)) flushSync(showNow);
    };
    // What came between the first drawing and now.
    follow();
    const stop = store.subscribe(follow);
    for (const kind of ABOUT_TO_ACT) window.addEventListener(kind, act, { capture: true });
    return () => {
      stop();
      for (const kind of ABOUT_TO_ACT) window.removeEventListener(kind, act, { capture: true });
    };
  }, [store, later]);
  return shown;
}

const isField = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** What the browser has changed already and nobody has read yet, a text, a tick or an answer: drawing it now would take it back. The press or key before it has caught up. */
const isHalfDone = ({ type, target }: Event): boolean => type === 'input' || (type === 'click' && isField(target));

/** Once the frame that has the key in it is on the screen; at once where no frame is drawn, since nobody looks. */
function afterFrame(work: () => void): void {
  if (document.visibilityState === 'hidden') work();
  else
    requestAnimationFrame(() => {
      setTimeout(work, 0);
    });
}
