import { apply, type Change, type Value } from '@keen-gauge/core/record/changes';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { setting } from './edits';
import { SurveyStore, type Links, type Outcome, type Unsaved } from './survey-store';

const blank = {
  place: {},
  supply: { nodes: [{ id: 'cut-out', kind: 'cut-out' }] },
  loads: [],
  notes: '',
} as unknown as Survey;
const head = (survey: Survey = blank, seq = 1) => ({ survey, revisionId: `r${seq}`, seq });

/** A store whose timers run when told and whose server is a function. */
function bench(respond: (revision: { id: string; changes: readonly unknown[] }) => Outcome) {
  const due: (() => void)[] = [];
  const sent: { id: string; parentId: string; changes: readonly unknown[] }[] = [];
  const kept: (Unsaved | null)[] = [];
  let ids = 0;
  const links: Links = {
    send: (revision) => {
      sent.push(revision);
      return Promise.resolve(respond(revision));
    },
    keep: (unsaved) => kept.push(unsaved),
    later: (_wait, work) => due.push(work),
    newId: () => `id${(ids += 1)}`,
  };
  const store = new SurveyStore(head(), links);
  const run = async (): Promise<void> => {
    const work = due.shift();
    work?.();
    for (let turn = 0; turn < 5; turn += 1) await Promise.resolve();
  };
  return { store, sent, kept, run, due };
}

const saved = (seq: number): Outcome => ({ kind: 'saved', saved: { revisionId: `r${seq}`, seq } });

describe('a survey being worked on', () => {
  it('shows an edit at once, keeps it, sends it, and forgets it when the server has it', async () => {
    const { store, sent, kept, run } = bench(() => saved(2));
    store.set(['place', 'town'], 'Netherby');
    expect(store.get().survey.place.town).toBe('Netherby');
    expect(store.get().saveState).toBe('waiting');
    expect(kept.at(-1)?.document.place.town).toBe('Netherby');
    await run();
    expect(sent).toEqual([
      { id: 'id1', parentId: 'r1', changes: [{ kind: 'set', path: ['place', 'town'], to: 'Netherby' }] },
    ]);
    expect(store.get().saveState).toBe('saved');
    expect(kept.at(-1)).toBeNull();
  });

  it('stays the very same survey when it is saved, typing that goes on included, so that nothing is drawn anew', async () => {
    const { store, run } = bench(() => saved(2));
    store.set(['place', 'town'], 'Netherby');
    const typed = store.get().survey;
    await run();
    expect(store.get().survey).toBe(typed);
    expect(store.get().head.survey).toBe(typed);
    store.set(['place', 'town'], 'Netherby Green');
    const sending = run();
    store.set(['place', 'addressLine2'], 'Fen Lane');
    const goneOn = store.get().survey;
    await sending;
    expect(store.get().survey).toBe(goneOn);
  });

  it('makes the list or part a field belongs in where there is none yet, and nothing out of a field of what is gone', () => {
    const { store } = bench(() => saved(2));
    const node = (): unknown => store.get().survey.supply.nodes[0];
    store.set(['supply', 'nodes', 'cut-out', 'cable', 'sizeMm2'], 25);
    store.set(['supply', 'nodes', 'cut-out', 'checks', 'isolator'], { id: 'isolator', answer: 'fine' });
    store.set(['supply', 'nodes', 'cut-out', 'checks', 'tails-size'], { id: 'tails-size', answer: 'not-fine' });
    expect(node()).toMatchObject({
      cable: { sizeMm2: 25 },
      checks: [
        { id: 'isolator', answer: 'fine' },
        { id: 'tails-size', answer: 'not-fine' },
      ],
    });
    store.set(['supply', 'nodes', 'gone', 'label'], 'x');
    expect(store.get().survey.supply.nodes).toHaveLength(1);
    for (let step = 0; step < 3; step += 1) store.undo();
    expect(node()).toEqual({ id: 'cut-out', kind: 'cut-out' });
  });

  it('takes typing in one field as one step of undo, and redoes it', () => {
    const { store } = bench(() => saved(2));
    for (const town of ['N', 'Ne', 'Net']) store.set(['place', 'town'], town);
    store.set(['place', 'postcode'], 'ZZ1');
    store.undo();
    expect(store.get().survey.place).toEqual({ town: 'Net' });
    store.undo();
    expect(store.get().survey.place).toEqual({});
    expect(store.get().canUndo).toBe(false);
    store.redo();
    expect(store.get().survey.place).toEqual({ town: 'Net' });
  });

  it('fields set together are one step of undo', () => {
    const { store } = bench(() => saved(2));
    store.setAll(setting(['declaration', 'basis'], 'circuits'), setting(['declaration', 'declaredBy'], 'Maren'));
    expect(store.get().survey.declaration).toEqual({ basis: 'circuits', declaredBy: 'Maren' });
    store.undo();
    expect(store.get().survey).not.toHaveProperty('declaration');
    expect(store.get().canUndo).toBe(false);
    store.redo();
    expect(store.get().survey.declaration).toEqual({ basis: 'circuits', declaredBy: 'Maren' });
  });

  it('a field of a member is set in it where it is there, and with it where it is not', () => {
    const { store } = bench(() => saved(2));
    const checks = ['supply', 'nodes', 'cut-out', 'checks'] as const;
    store.setMember(checks, 'isolator', 'answer', undefined);
    expect(store.get().survey.supply.nodes[0]).toEqual({ id: 'cut-out', kind: 'cut-out' });
    store.setMember(checks, 'isolator', 'answer', 'fine');
    store.setMember(checks, 'isolator', 'note', 'Behind the meter');
    expect(store.get().survey.supply.nodes[0]?.checks).toEqual([
      { id: 'isolator', answer: 'fine', note: 'Behind the meter' },
    ]);
  });

  it('keeps what is typed while a save is on its way, and sends it next', async () => {
    let typed = false;
    const { store, sent, run } = bench(() => {
      if (!typed) {
        typed = true;
        store.set(['notes'], 'more');
      }
      return saved(sent.length + 1);
    });
    store.set(['place', 'town'], 'A');
    await run();
    expect(store.get().survey.notes).toBe('more');
    await run();
    await run();
    expect(sent.map(({ changes }) => changes.length)).toEqual([1, 1]);
    expect(store.get().saveState).toBe('saved');
  });

  it('sends the same revision under the same id when no answer came', async () => {
    let answers = 0;
    const { store, sent, run } = bench(() => ((answers += 1) === 1 ? { kind: 'no-answer' } : saved(2)));
    store.set(['place', 'town'], 'A');
    await run();
    expect(store.get().saveState).toBe('offline');
    await run();
    expect(sent.map(({ id }) => id)).toEqual(['id1', 'id1']);
    expect(store.get().saveState).toBe('saved');
  });

  it('an answer lost and typing gone on: the same goes first, and nothing of it comes back as somebody else’s', async () => {
    // A server that stores what it is sent, and whose first answer is lost on the way.
    let [stored, seq, answers]: [Survey, number, number] = [blank, 1, 0];
    const known = new Set<string>();
    const { store, sent, kept, run } = bench(({ id, changes }) => {
      if (!known.has(id)) {
        const made = apply(stored as unknown as Value, changes as Change[]);
        if (made.conflicts.length > 0) return { kind: 'conflict', head: head(stored, seq) };
        [stored, seq] = [made.document as unknown as Survey, seq + 1];
        known.add(id);
      }
      return (answers += 1) === 1
        ? { kind: 'no-answer' }
        : { kind: 'saved', saved: { revisionId: `r${seq}`, seq, survey: stored } };
    });
    store.set(['place', 'town'], 'Neth');
    await run();
    expect(kept.at(-1)?.pending).toMatchObject({ id: 'id1', changes: [{ to: 'Neth' }] });
    store.set(['place', 'town'], 'Netherby');
    store.set(['notes'], 'more');
    store.seen(head(stored, seq));
    await run(); // the pause after the lost answer, which a sooner one has taken the place of
    await run();
    expect(sent.map(({ id }) => id)).toEqual(['id1', 'id1']);
    expect(sent[1]).toEqual(sent[0]);
    expect(store.get().survey.place.town).toBe('Netherby');
    await run();
    expect(store.get()).toMatchObject({ conflicts: [], saveState: 'saved' });
    expect(stored.place.town).toBe('Netherby');
    expect(stored.notes).toBe('more');
    expect(kept.at(-1)).toBeNull();
  });

  it.each([true, false])(
    'typing left behind with a revision not answered is sent as it was; arrived: %s',
    async (arrived) => {
      const change: Change = { kind: 'set', path: ['place', 'town'], to: 'Neth' };
      const there = apply(blank as unknown as Value, [change]).document as unknown as Survey;
      let stored = arrived ? there : blank;
      let seq = arrived ? 2 : 1;
      const { store, sent, run } = bench(({ id, changes }) => {
        if (!(arrived && id === 'before')) {
          const made = apply(stored as unknown as Value, changes as Change[]);
          if (made.conflicts.length > 0) return { kind: 'conflict', head: head(stored, seq) };
          [stored, seq] = [made.document as unknown as Survey, seq + 1];
        }
        return { kind: 'saved', saved: { revisionId: `r${seq}`, seq, survey: stored } };
      });
      if (arrived) store.seen(head(there, 2));
      const typed = { ...blank, place: { town: 'Netherby' } } as unknown as Survey;
      store.adopt({
        base: blank,
        document: typed,
        conflicts: [],
        pending: { id: 'before', parentId: 'r1', changes: [change] },
      });
      expect(store.get().survey.place.town).toBe('Netherby');
      await run();
      await run();
      expect(sent[0]).toEqual({ id: 'before', parentId: 'r1', changes: [change] });
      expect(store.get()).toMatchObject({ conflicts: [], saveState: 'saved' });
      expect(stored.place.town).toBe('Netherby');
    },
  );

  it('asks a server that cannot just now again within a second, however often, and says so', async () => {
    let answers = 0;
    const waits: number[] = [];
    const due: (() => void)[] = [];
    const store = new SurveyStore(head(), {
      send: () => Promise.resolve((answers += 1) < 12 ? { kind: 'unavailable' } : saved(2)),
      keep: () => undefined,
      later: (wait, work) => {
        waits.push(wait);
        due.push(work);
      },
      newId: () => 'id',
    });
    store.set(['notes'], 'x');
    while (due.length > 0) {
      due.shift()?.();
      for (let turn = 0; turn < 5; turn += 1) await Promise.resolve();
      if (answers === 3) expect(store.get().saveState).toBe('unavailable');
    }
    expect(Math.max(...waits)).toBeLessThanOrEqual(1000);
    expect(store.get().saveState).toBe('saved');
  });

  it('tells a failure of the server as that, under what it is logged, and stops trying until asked', async () => {
    let well = false;
    const { store, sent, run, due } = bench(() => (well ? saved(2) : { kind: 'failed', under: 'ab12' }));
    store.set(['notes'], 'x');
    for (let times = 0; times < 10 && due.length > 0; times += 1) await run();
    expect(sent).toHaveLength(4);
    expect(store.get()).toMatchObject({ saveState: 'failed', failedUnder: 'ab12' });
    well = true;
    store.retry();
    await run();
    expect(store.get().saveState).toBe('saved');
    expect(store.get().failedUnder).toBeUndefined();
  });

  it('sends at once where the page is about to go, and says where the browser keeps nothing', async () => {
    const { store, sent, run } = bench(() => saved(2));
    store.set(['notes'], 'x');
    store.flush();
    // Before anything else of the page runs: no timer, no answer.
    expect(sent).toHaveLength(1);
    store.flush();
    await run();
    expect(sent).toHaveLength(1);
    expect(store.get().saveState).toBe('saved');
    store.kept(false);
    expect(store.get().notKept).toBe(true);
    store.kept(true);
    expect(store.get().notKept).toBe(false);
  });

  it('takes in what another tab saved elsewhere in the survey', async () => {
    const theirs = { ...blank, notes: 'theirs', place: { town: 'mine' } } as unknown as Survey;
    const { store, run } = bench(() => ({ kind: 'saved', saved: { revisionId: 'r3', seq: 3, survey: theirs } }));
    store.set(['place', 'town'], 'mine');
    await run();
    expect(store.get().survey).toEqual(theirs);
    expect(store.get().conflicts).toEqual([]);
  });

  it('asks when the same field was set elsewhere; mine can be kept, and is then sent on top of theirs', async () => {
    const theirs = { ...blank, place: { town: 'theirs' } } as unknown as Survey;
    let calls = 0;
    const { store, sent, kept, run } = bench(() =>
      (calls += 1) === 1 ? { kind: 'conflict', head: head(theirs, 5) } : saved(6),
    );
    store.set(['place', 'town'], 'mine');
    await run();
    const [conflict] = store.get().conflicts;
    expect(store.get().survey.place.town).toBe('theirs');
    expect(conflict).toMatchObject({ change: { to: 'mine' }, theirs: 'theirs' });
    expect(kept.at(-1)?.conflicts).toHaveLength(1);
    if (conflict) store.settle(conflict, true);
    await run();
    expect(sent.at(-1)).toMatchObject({ parentId: 'r5', changes: [{ from: 'theirs', to: 'mine' }] });
    expect(store.get().conflicts).toEqual([]);
  });

  it('brings a whole load back when it was removed elsewhere while edited here', async () => {
    const withLoad = { ...blank, loads: [{ id: 'l', class: 'motor', powerW: 1 }] } as unknown as Survey;
    const { store, run } = bench(() => ({ kind: 'conflict', head: head(blank, 5) }));
    store.seen(head(withLoad, 2));
    store.set(['loads', 'l', 'powerW'], 9);
    await run();
    const [conflict] = store.get().conflicts;
    if (conflict) store.settle(conflict, true);
    expect(store.get().survey.loads).toEqual([{ id: 'l', class: 'motor', powerW: 9 }]);
  });

  it('takes up typing left behind and sends it', async () => {
    const { store, sent, run } = bench(() => saved(2));
    const typed = apply(blank as unknown as Value, [{ kind: 'set', path: ['place', 'town'], to: 'kept' }]).document;
    store.adopt({ base: blank, document: typed as unknown as Survey, conflicts: [] });
    expect(store.get().survey.place.town).toBe('kept');
    await run();
    expect(sent).toHaveLength(1);
  });

  it('stops at a refusal and shows the faults until something changes', async () => {
    const faults = [{ path: '$.place.town', wrong: 'is 5', expected: 'text' }];
    const { store, run, due } = bench(() => ({ kind: 'refused', faults }));
    store.set(['place', 'town'], 'A');
    await run();
    expect(store.get()).toMatchObject({ saveState: 'refused', faults });
    expect(due).toHaveLength(0);
    store.set(['place', 'town'], 'B');
    expect(store.get().saveState).toBe('waiting');
  });

  it('does not wait out the pause after a failure once the connection is back', async () => {
    let answers = 0;
    const { store, sent, run, due } = bench(() => ((answers += 1) === 1 ? { kind: 'no-answer' } : saved(2)));
    store.set(['place', 'town'], 'A');
    await run();
    expect(due).toHaveLength(1);
    store.retry();
    expect(due).toHaveLength(2);
    due.shift()?.(); // the long pause ends with nothing to do: a sooner timer has taken its place
    expect(sent).toHaveLength(1);
    await run();
    expect(sent).toHaveLength(2);
    expect(store.get().saveState).toBe('saved');
  });
});
