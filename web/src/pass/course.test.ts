import type { Question } from '@keen-gauge/core/questions/question';
import type { QuickPass } from '@keen-gauge/core/quick-pass';
import { fc } from '@keen-gauge/core/testing/laws';
import { cardAfter, cardsOf, type Standing } from './course';

const ORDER = ['customer', 'intake', 'board', 'desk'];

/** A pass with these questions open, told as `stop:id`. */
function passWith(...open: readonly string[]): QuickPass {
  const stops = ORDER.map((id) => ({
    id,
    name: id,
    questions: open.filter((each) => each.startsWith(`${id}:`)).map((each) => ({ id: each }) as unknown as Question),
  })).filter(({ questions }) => questions.length > 0);
  return { order: ORDER, stops, waiting: [] };
}

function at(pass: QuickPass, key: string): Standing {
  const found = cardsOf(pass).find((card) => card.key === key);
  if (!found) throw new Error(`${key} is not open`);
  return found;
}

const none = new Set<string>();

describe('the course of the quick pass', () => {
  it('begins at the first stop with anything open', () => {
    expect(cardAfter(passWith('intake:a', 'desk:z'), null, none)?.key).toBe('intake:a');
  });

  it('goes on to what has come into the answered card’s place, before it leaves the stop', () => {
    const before = passWith('intake:loop', 'intake:meter', 'board:way');
    const from = at(before, 'intake:loop');
    expect(cardAfter(passWith('intake:evidence', 'intake:meter', 'board:way'), from, none)?.key).toBe(
      'intake:evidence',
    );
    expect(cardAfter(passWith('intake:meter', 'board:way'), from, none)?.key).toBe('intake:meter');
  });

  it('goes to the next stop when this one is done, even where nothing is left of it', () => {
    const from = at(passWith('intake:last', 'board:way'), 'intake:last');
    expect(cardAfter(passWith('customer:new', 'board:way'), from, none)?.key).toBe('board:way');
  });

  it('comes back for what is left before, and ends where all was answered or passed by', () => {
    const from = at(passWith('customer:name', 'desk:z'), 'desk:z');
    expect(cardAfter(passWith('customer:name'), from, none)?.key).toBe('customer:name');
    expect(cardAfter(passWith('customer:name'), from, new Set(['customer:name']))).toBeNull();
  });

  it('shows every open card once in a round, whatever is open, and then ends', () => {
    const any = fc.uniqueArray(
      fc.constantFrom(...ORDER.flatMap((stop) => ['a', 'b', 'c'].map((id) => `${stop}:${id}`))),
    );
    fc.assert(
      fc.property(any, (open) => {
        const pass = passWith(...open);
        const passed = new Set<string>();
        let card = cardAfter(pass, null, passed);
        while (card && passed.size <= open.length) {
          passed.add(card.key);
          card = cardAfter(pass, card, passed);
        }
        expect(card).toBeNull();
        expect([...passed].sort()).toEqual([...open].sort());
      }),
    );
  });
});
