import fc from 'fast-check';
import { randomUUID } from 'node:crypto';

/** Values that a careless, broken or ill-meaning client might send anywhere. */
export const anyValue: fc.Arbitrary<unknown> = fc.oneof(
  { weight: 3, arbitrary: fc.jsonValue({ maxDepth: 3 }) },
  {
    weight: 4,
    arbitrary: fc.constantFrom<unknown>(
      null,
      true,
      0,
      -1,
      1e9,
      1.5,
      '',
      'text',
      'unknown',
      'x\u0000',
      'half \ud83d',
      'x'.repeat(6000),
      [],
      [[]],
      [[[]]],
      [null],
      [{}],
      [5],
      {},
      { id: 'x' },
      { id: [] },
      { id: '' },
      { length: 5 },
      { toString: 1 },
      { then: 'x' },
    ),
  },
);

type Path = readonly string[];

/** Every place there is in a document, by the names and ids that changes use. */
function placesOf(document: unknown, path: Path = []): { path: Path; value: unknown }[] {
  const here = { path, value: document };
  if (Array.isArray(document))
    return [
      here,
      ...document.flatMap((member: unknown) => {
        const { id } = (typeof member === 'object' && member !== null ? member : {}) as { id?: unknown };
        return typeof id === 'string' ? placesOf(member, [...path, id]) : [];
      }),
    ];
  if (typeof document !== 'object' || document === null) return [here];
  return [here, ...Object.entries(document).flatMap(([key, value]) => placesOf(value, [...path, key]))];
}

/** Changes of a real survey that fit it: values set anywhere, members renamed, added, taken out and put in another order, fields nobody knows. */
export function changesOf(survey: object): fc.Arbitrary<readonly object[]> {
  const places = placesOf(survey);
  const leaf = fc.constantFrom(...places.map(({ value }) => value));
  const value = fc.oneof(anyValue, leaf, leaf);
  const alike = (path: Path): unknown[] =>
    places.filter((each) => each.path.at(-1) === path.at(-1)).map((each) => each.value);
  const set = fc
    .constantFrom(...places)
    .chain((place) =>
      fc.record({
        place: fc.constant(place),
        // Half of them as some other place of the same name has it, which mostly fits.
        to: fc.oneof(fc.constantFrom(...alike(place.path)), fc.option(value, { nil: undefined })),
      }),
    )
    .map(({ place, to }) => ({
      kind: 'set',
      path: place.path,
      from: place.value,
      ...(to === undefined ? {} : { to }),
    }));
  const members = places.filter(
    ({ path, value: is }) => path.length > 0 && typeof is === 'object' && 'id' in (is as object),
  );
  const renamed = fc
    .record({
      member: fc.constantFrom(...(members.length > 0 ? members : places)),
      id: fc.constantFrom('z1', 'z2', '', 'a b'),
      to: value,
    })
    .chain(({ member, id, to }) =>
      fc.constantFrom(...placesOf(member.value).map(({ path }) => path[0] ?? 'id')).map((field) => [
        { kind: 'set', path: [...member.path, 'id'], from: (member.value as { id?: unknown }).id, to: id },
        {
          kind: 'set',
          path: [...member.path.slice(0, -1), id, field],
          from: (member.value as Record<string, unknown>)[field],
          to,
        },
      ]),
    );
  const lists = places.filter(({ value: is }) => Array.isArray(is));
  const added = fc.record({ list: fc.constantFrom(...lists), to: value }).map(({ list, to }) => ({
    kind: 'set',
    path: [...list.path, 'new1'],
    to: typeof to === 'object' && to !== null && !Array.isArray(to) ? { ...to, id: 'new1' } : to,
    index: 0,
  }));
  const ordered = fc
    .record({
      list: fc.constantFrom(...lists),
      to: fc.oneof(fc.array(fc.constantFrom('a', 'meter', 'cut-out')), value),
    })
    .map(({ list, to }) => ({ kind: 'order', path: list.path, from: [], to }));
  const unknown = fc.record({ place: fc.constantFrom(...places), to: value }).map(({ place, to }) => ({
    kind: 'set',
    path: [...place.path, 'nobodyKnows'],
    to,
  }));
  return fc.oneof(
    { weight: 5, arbitrary: fc.array(set, { minLength: 1, maxLength: 3 }) },
    { weight: 4, arbitrary: renamed },
    { weight: 2, arbitrary: fc.array(fc.oneof(added, ordered, unknown), { minLength: 1, maxLength: 3 }) },
    { weight: 1, arbitrary: anyValue.map((each) => [each as object]) },
  );
}

/** Bodies as they ought to be, to be spoiled in one place or several. */
const GOOD: readonly (readonly [path: string, body: object])[] = [
  ['/session', { email: 'nobody@fennel.example', password: 'x' }],
  ['/reports', { kind: 'error', message: 'x', stack: 'x', page: '/' }],
  ['/jobs', { id: 'ID', place: 'Somewhere', wanted: 'A charger' }],
  ['/jobs/JOB/events', { id: 'ID', kind: 'sent', day: '2026-11-25', reference: 'x', note: 'x' }],
  [
    '/jobs/JOB/packs',
    {
      id: 'ID',
      revisionId: 'ID',
      reason: 'x',
      reasons: [{ key: 'x', reason: 'x' }],
      signature: { kind: 'typed', name: 'x' },
    },
  ],
  ['/jobs/JOB/submissions', { id: 'ID', packId: 'ID', reason: 'x' }],
  ['/jobs/JOB/charge-points', { proposalId: 'x' }],
  ['/jobs/JOB/photos/ID', { caption: 'x', subject: 'node', subjectId: 'cut-out', fileName: 'x' }],
  [
    '/firm/terms',
    {
      options: [{ option: 'managed', costBand: 'high', fromWeeks: 1, toWeeks: 2 }],
      bands: [{ band: 'low', words: 'x' }],
      contact: {},
    },
  ],
  ['/firm/checklists', { lists: [{ list: 'labels', items: [{ id: 'a', text: 'x' }] }] }],
  ['/firm/equipment/ID', { name: 'x', ratedA: 32, phases: 1, stepsA: [10, 16], clamps: ['wired'], failSafesA: [0, 6] }],
  ['/firm/rules/own/ID', { title: 'x', source: 'x', basedOn: 'gb-default', changes: [] }],
  [
    '/firm/rules/house',
    { defaultRulesId: 'gb-default', areas: [{ area: '10', rulesId: 'gb-default' }], alwaysAsk: true },
  ],
  ['/instruments/ID', { name: 'x', serial: 'x', calibrationDue: '2027-01-01', retired: false }],
  [
    `/log-mappings/${'a'.repeat(64)}`,
    {
      layout: 'long',
      skipRows: 1,
      timeColumns: [0],
      timeFormat: 'year-first',
      zone: 'utc',
      values: [{ column: 1, phase: 'L1' }],
      unit: 'A',
      accumulating: false,
      decimal: '.',
    },
  ],
];

/** A body for any other address that takes one: good but for a place or two, or nothing like it. */
export function otherBodies(jobId: string, value: fc.Arbitrary<unknown>): fc.Arbitrary<{ path: string; body: string }> {
  return fc.constantFrom(...GOOD).chain(([path, good]) => {
    const text = JSON.stringify(good).replaceAll('"ID"', () => JSON.stringify(randomUUID()));
    const keys = [...text.matchAll(/"(\w+)":/g)].map((match) => match[1] ?? '');
    const spoiled = fc
      .array(fc.record({ key: fc.constantFrom(...keys), to: value }), { minLength: 1, maxLength: 3 })
      .map((changes) => {
        const body = JSON.parse(text) as Record<string, unknown>;
        for (const { key, to } of changes) spoil(body, key, to);
        return JSON.stringify(body);
      });
    const body = fc.oneof(
      { weight: 6, arbitrary: spoiled },
      { weight: 1, arbitrary: value.map((each) => JSON.stringify(each)) },
    );
    return body.map((each) => ({ path: path.replace('JOB', jobId).replace('ID', randomUUID()), body: each }));
  });
}

/** Puts a value at the first place of a name, however deep. */
function spoil(at: unknown, key: string, to: unknown): boolean {
  if (typeof at !== 'object' || at === null) return false;
  const fields = at as Record<string, unknown>;
  if (Object.hasOwn(fields, key)) {
    fields[key] = to;
    return true;
  }
  return Object.values(fields).some((inner) => spoil(inner, key, to));
}
