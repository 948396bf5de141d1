/** @jest-environment jsdom */
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { startedOnce } from './started-once';

/** A worker that never answers; it breaks down when told. */
function silent(): { worker: Worker; breakDown: () => void; terminate: jest.Mock } {
  const terminate = jest.fn();
  const target = Object.assign(new EventTarget(), { postMessage: jest.fn(), terminate });
  return {
    worker: target as unknown as Worker,
    breakDown: () => target.dispatchEvent(Object.assign(new Event('error'), { message: 'not found' })),
    terminate,
  };
}

describe('a worker started when it is first asked', () => {
  it('is one for all questions; one that cannot be loaded fails them, and the next question starts another', async () => {
    const made: ReturnType<typeof silent>[] = [];
    const reckon = startedOnce(() => {
      const next = silent();
      made.push(next);
      return next.worker;
    });
    expect(made).toHaveLength(0);
    const asked = [
      reckon('options', blankSurvey(), gbDefault, null),
      reckon('whatWouldChange', blankSurvey(), gbDefault, null),
    ];
    expect(made).toHaveLength(1);
    made[0]?.breakDown();
    for (const each of asked) await expect(each).rejects.toThrow('not found');
    expect(made[0]?.terminate).toHaveBeenCalledTimes(1);
    void reckon('options', blankSurvey(), gbDefault, null);
    expect(made).toHaveLength(2);
  });
});
