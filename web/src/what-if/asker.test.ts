import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { Asker, type Reckon } from './asker';

/** A reckoner whose answers come when the test says so; they name the survey they are of. */
function slow(): { reckon: Reckon; asked: string[]; answer: () => Promise<void>; fail: () => Promise<void> } {
  const asked: string[] = [];
  let [settle, refuse]: [(value: never) => void, (error: Error) => void] = [() => undefined, () => undefined];
  const reckon = ((_what: string, survey: Survey) => {
    asked.push(survey.notes ?? '');
    return new Promise((resolve, reject) => {
      [settle, refuse] = [resolve, reject];
    });
  }) as unknown as Reckon;
  const passed = () => new Promise<void>((resolve) => setTimeout(resolve));
  return {
    reckon,
    asked,
    answer: () => (settle([asked.at(-1)] as never), passed()),
    fail: () => (refuse(new Error('broken')), passed()),
  };
}

const noted = (notes: string): Survey => ({ ...blankSurvey(), notes });

describe('asking what would be', () => {
  it('reckons one at a time, of what is asked meanwhile only the newest, and tells no answer something newer waits behind', async () => {
    const { reckon, asked, answer } = slow();
    const asker = new Asker('options', reckon);
    const heard: unknown[] = [];
    asker.subscribe(() => heard.push(asker.get().answer));
    for (const notes of ['one', 'two', 'three']) asker.ask(noted(notes), gbDefault, null);
    expect(asked).toEqual(['one']);
    await answer();
    expect(heard).toEqual([]);
    expect(asked).toEqual(['one', 'three']);
    await answer();
    expect(heard).toEqual([['three']]);
    expect(asker.get().to?.survey.notes).toBe('three');
  });

  it('keeps the last answer while the next is reckoned', async () => {
    const { reckon, answer } = slow();
    const asker = new Asker('options', reckon);
    asker.ask(noted('one'), gbDefault, null);
    await answer();
    asker.ask(noted('two'), gbDefault, null);
    expect(asker.get()).toMatchObject({ answer: ['one'], hasFailed: false });
  });

  it('says that it failed, and goes on with what is asked next', async () => {
    const { reckon, answer, fail } = slow();
    const asker = new Asker('options', reckon);
    asker.ask(noted('one'), gbDefault, null);
    await fail();
    expect(asker.get()).toMatchObject({ answer: null, hasFailed: true });
    asker.ask(noted('two'), gbDefault, null);
    await answer();
    expect(asker.get()).toMatchObject({ answer: ['two'], hasFailed: false });
  });

  it('reckons nothing more once nobody listens', async () => {
    const { reckon, asked, answer } = slow();
    const asker = new Asker('options', reckon);
    const leave = asker.subscribe(() => undefined);
    asker.ask(noted('one'), gbDefault, null);
    asker.ask(noted('two'), gbDefault, null);
    leave();
    await answer();
    expect(asked).toEqual(['one']);
  });
});
