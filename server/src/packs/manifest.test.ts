import { fc } from '@keen-gauge/core/testing/laws';
import { packBundle } from './bundle';
import { MANIFEST_NAME, manifestFaults, readManifest, sha256 } from './manifest';
import { openBundle } from './open-bundle';

const survey = Buffer.from('{"a": 1}\n');
const about = {
  number: 'P-0001',
  job: 'KG-0001',
  title: 'Notice of new equipment',
  signedBy: 'anna',
  signedAt: '2026-11-25T20:00:00Z',
  fingerprint: sha256(survey),
};
const files = [
  { name: 'survey.json', bytes: survey },
  { name: 'photographs/01-cut-out.jpg', bytes: Buffer.from([1, 2, 3]) },
];

describe('a pack’s archive', () => {
  it('holds its files and a manifest of their sums, and is as it was signed', async () => {
    const opened = await openBundle(await packBundle(about, files));
    expect([...opened.keys()]).toEqual([MANIFEST_NAME, 'survey.json', 'photographs/01-cut-out.jpg']);
    expect(manifestFaults(opened)).toEqual([]);
    expect(readManifest(opened.get(MANIFEST_NAME)?.toString() ?? '')).toMatchObject({ ...about, version: 1 });
  });
  it('is made the same again', async () => {
    expect((await packBundle(about, files)).equals(await packBundle(about, files))).toBe(true);
  });
  it.each<[string, (opened: Map<string, Buffer>) => void, string]>([
    [
      'a file changed by a letter',
      (opened) => opened.set('survey.json', Buffer.from('{"a": 2}\n')),
      'survey.json: has been changed',
    ],
    [
      'a file grown',
      (opened) => opened.set('survey.json', Buffer.from('{"a": 11}\n')),
      'survey.json: is 10 bytes, not 9',
    ],
    [
      'a file taken out',
      (opened) => opened.delete('photographs/01-cut-out.jpg'),
      'photographs/01-cut-out.jpg: is missing',
    ],
    ['a file put in', (opened) => opened.set('more.txt', Buffer.from('x')), 'more.txt: does not belong to it'],
    ['no manifest', (opened) => opened.delete(MANIFEST_NAME), `${MANIFEST_NAME}: is not there`],
    [
      'a manifest of something else',
      (opened) => opened.set(MANIFEST_NAME, Buffer.from('{}')),
      `${MANIFEST_NAME}: is not one of ours`,
    ],
  ])('%s is told', async (_name, change, fault) => {
    const opened = await openBundle(await packBundle(about, files));
    change(opened);
    expect(manifestFaults(opened)).toContain(fault);
  });
  it('a survey exchanged together with its sum is not the one whose fingerprint is printed', async () => {
    const other = await openBundle(
      await packBundle(about, [{ name: 'survey.json', bytes: Buffer.from('{"a": 3}\n') }]),
    );
    expect(manifestFaults(other)).toEqual(['survey.json: is not the survey whose fingerprint is printed']);
  });
  it('whatever a manifest holds, reading it never throws', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        readManifest(text);
        expect(manifestFaults(new Map([[MANIFEST_NAME, Buffer.from(text)]])).length).toBeGreaterThan(0);
      }),
    );
  });
  it('no zip is refused', async () => {
    await expect(openBundle(Buffer.from('no zip'))).rejects.toThrow();
  });
});
