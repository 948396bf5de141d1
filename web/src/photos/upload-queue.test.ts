import { Refusal, UploadQueue, type Filing, type UploadLinks } from './upload-queue';

const file = (name: string, bytes = 3): File => new File([new Uint8Array(bytes)], name);
const settle = async (): Promise<void> => {
  for (let turn = 0; turn < 20; turn += 1) await Promise.resolve();
};

/** A queue whose sending and filing are functions, and what it asked of the world. */
function bench(
  filing: (name: string) => Filing,
  send: (name: string) => Promise<void> = () => Promise.resolve(),
  keep: () => Promise<void> = () => Promise.resolve(),
  reached: () => boolean = () => true,
) {
  const told: string[] = [];
  let ids = 0;
  const links: UploadLinks = {
    send: ({ fileName }) => send(fileName),
    file: ({ fileName }) => Promise.resolve(filing(fileName)),
    drop: ({ fileName }) => told.push(`drop ${fileName}`),
    keep: ({ fileName }) => {
      told.push(`keep ${fileName}`);
      return keep();
    },
    forget: (id) => Promise.resolve(void told.push(`forget ${id}`)),
    reached,
    newId: () => `id${(ids += 1)}`,
    filed: () => told.push('filed'),
  };
  const queue = new UploadQueue('person', 'job', links);
  return { queue, told, states: () => queue.get().map(({ name, state }) => `${name} ${state}`) };
}

describe('pictures on their way in', () => {
  it('are kept before they are sent, and forgotten once filed', async () => {
    const { queue, told, states } = bench(() => ({ kind: 'filed', known: false }));
    await queue.add([file('a')], {});
    await settle();
    expect(told).toEqual(['keep a', 'filed', 'forget id1']);
    expect(states()).toEqual([]);
  });

  it('are shown at once, and say that they are being kept until this device has them', async () => {
    const written: (() => void)[] = [];
    const { queue, states, told } = bench(
      () => ({ kind: 'filed', known: false }),
      () => new Promise(() => undefined),
      () => new Promise((resolve) => written.push(resolve)),
    );
    void queue.add([file('a'), file('b'), file('c')], {});
    await settle();
    expect(states()).toEqual(['a keeping', 'b keeping', 'c keeping']);
    written[0]?.();
    await settle();
    expect(states()).toEqual(['a sending', 'b keeping', 'c keeping']);
    // Put away while it is being written, and before its turn: nothing of them stays.
    queue.cancel('id2');
    queue.cancel('id3');
    written[1]?.();
    await settle();
    expect(states()).toEqual(['a sending']);
    expect(told.filter((each) => each === 'forget id2')).toHaveLength(2);
    expect(written).toHaveLength(2);
  });

  it('one refused does not hold up the others', async () => {
    const { queue, states } = bench((name) =>
      name === 'bad' ? { kind: 'refused', says: 'no picture' } : { kind: 'filed', known: false },
    );
    await queue.add([file('bad'), file('good'), file('empty', 0), file('more')], {});
    await settle();
    expect(states()).toEqual(['bad refused', 'empty refused']);
  });

  it('stop for want of an answer, stay kept, and go on when tried again', async () => {
    let reachable = false;
    const { queue, told, states } = bench(
      () => ({ kind: 'filed', known: false }),
      () => (reachable ? Promise.resolve() : Promise.reject(new Error('no link'))),
    );
    await queue.add([file('a')], {});
    await settle();
    expect(states()).toEqual(['a stopped']);
    expect(told).toEqual(['keep a']);
    reachable = true;
    queue.retry();
    await settle();
    expect(states()).toEqual([]);
  });

  it('without a connection all stop at once; with one, trouble with a picture is that picture’s', async () => {
    const trouble = (name: string): Promise<void> =>
      name === 'a' ? Promise.reject(new Error('no link')) : Promise.resolve();
    for (const [reached, then] of [
      [false, ['a stopped', 'c stopped', 'd stopped']],
      [true, ['a stopped']],
    ] as const) {
      const { queue, states } = bench(
        () => ({ kind: 'filed', known: false }),
        trouble,
        undefined,
        () => reached,
      );
      // Handed over together, as those of an earlier visit are.
      queue.adopt(
        ['a', 'b', 'c', 'd'].map((name) => ({
          ...{ id: name, personId: 'p', jobId: 'j', file: file(name), fileName: name, chosenAt: 0 },
        })),
      );
      await settle();
      expect(states()).toEqual(then);
    }
  });

  it('the server will not have, or has already, say so until they are put away', async () => {
    const { queue, states, told } = bench(
      () => ({ kind: 'filed', known: true }),
      (name) => (name === 'big' ? Promise.reject(new Refusal('too large')) : Promise.resolve()),
    );
    await queue.add([file('big'), file('twin')], {});
    await settle();
    expect(states()).toEqual(['big refused', 'twin known']);
    queue.cancel('id2');
    expect(states()).toEqual(['big refused']);
    expect(told).not.toContain('drop twin');
  });

  it('what is refused stays on the device with why, is there after a reload, and goes when it is removed', async () => {
    const { queue, told } = bench(() => ({ kind: 'refused', says: 'no picture' }));
    await queue.add([file('bad')], {});
    await settle();
    expect(told).toEqual(['keep bad', 'keep bad']);
    expect(queue.fileOf('id1')).toBeInstanceOf(File);
    const later = bench(() => ({ kind: 'filed', known: false }));
    const photo = {
      id: 'x',
      personId: 'p',
      jobId: 'j',
      file: file('bad'),
      fileName: 'bad',
      chosenAt: 0,
      refused: 'no picture',
    };
    later.queue.adopt([photo]);
    await settle();
    expect(later.queue.get()).toMatchObject([{ state: 'refused', says: 'no picture' }]);
    expect(later.told).toEqual([]);
    later.queue.cancel('x');
    expect(later.told).toContain('forget x');
  });
});
