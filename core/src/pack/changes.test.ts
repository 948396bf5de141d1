import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { settledSurvey, WELL_PUT_ON } from '../testing/settled-survey';
import type { Survey } from '../survey/survey';
import { changesSince } from './changes';
import { composePack, type PackContent } from './compose';
import { coveringMessage } from './files';
import type { StoredSection } from './former-sections';
import type { Section } from './rows';
import { changedSinceSigning } from './since';

const SIGNED = {
  firm: 'Fennel Lane Electrical',
  name: 'Maren Oakhanger',
  registration: 'FL-0042',
  at: '2026-11-26T10:00:00Z',
};

const clamped = (survey: Survey): void => {
  Object.assign(survey.proposals[0]?.limiter ?? {}, {
    kind: 'clamp',
    clampNodeId: 'board',
    setPointA: 60,
    failSafeA: 6,
    fit: { ...WELL_PUT_ON },
  });
  survey.readings = [
    { id: 'r1', kind: 'loop-impedance-external', value: 0.31 },
    { id: 'r2', kind: 'loop-impedance-external', value: 0.29 },
  ];
};

const packOf = (...changes: ((survey: Survey) => void)[]): PackContent => {
  const survey = settledSurvey(clamped, ...changes);
  return composePack(survey, assess(survey, gbDefault), gbDefault, SIGNED);
};

/** Every label and heading in other words. */
const reworded = (sections: readonly Section[]): Section[] =>
  sections.map((section) => ({
    ...section,
    title: `Otherwise headed ${section.title}`,
    rows: section.rows.map((row) => ({ ...row, label: `In other words: ${row.label}` })),
  }));

/** As packs were stored before lines had ids. */
const former = (sections: readonly Section[]): StoredSection[] =>
  sections.map(({ id: _id, subject: _subject, about: _about, rows, ...section }) => ({
    ...section,
    rows: rows.map(({ id: _rowId, subject: _rowSubject, ...row }) => row),
  }));

describe('what changed since the last pack', () => {
  const sections = (...rows: Section['rows'][number][]): Section[] => [
    { id: 'site', title: 'Site and customer', rows },
  ];
  const customer = { id: 'customer', label: 'Customer', value: 'A' } as const;

  it('is each line that says something else, is new or is gone, and nothing else', () => {
    const premises = (value: string) => ({ id: 'premises', label: 'Premises', value }) as const;
    expect(
      changesSince(
        sections(customer, premises('Flat')),
        sections(customer, premises('House'), { id: 'nation', label: 'Nation', value: 'Wales' }),
      ),
    ).toEqual([
      { section: 'Site and customer', label: 'Premises', was: 'Flat', is: 'House' },
      { section: 'Site and customer', label: 'Nation', is: 'Wales' },
    ]);
    expect(changesSince(sections(customer), sections())).toEqual([
      { section: 'Site and customer', label: 'Customer', was: 'A' },
    ]);
  });

  it('of several lines of a kind, which came and which went, whatever they are called', () => {
    const because = (subject: string, value: string) => ({ id: 'trigger', subject, label: 'Because', value }) as const;
    const before = sections(because('loop', 'looped'), because('size', 'large'));
    expect(changesSince(before, sections(because('size', 'large'), because('export', 'unknown')))).toMatchObject([
      { label: 'Because', is: 'unknown' },
      { label: 'Because', was: 'looped' },
    ]);
    expect(changesSince(before, before)).toEqual([]);
  });

  it('is nothing when every label and heading is put in other words', () => {
    const { sections: now } = packOf();
    expect(now.flatMap(({ rows }) => rows).length).toBeGreaterThan(40);
    expect(changesSince(now, reworded(now))).toEqual([]);
  });

  it('is the same, whatever lines are called', () => {
    const before = packOf().sections;
    const { sections: now } = packOf((survey) => {
      survey.place.customerName = 'Somebody else';
      Object.assign(survey.proposals[0] ?? {}, { makeAndModel: 'Another one' });
      Object.assign(survey.readings[1] ?? {}, { value: 0.35 });
    });
    const said = (changes: ReturnType<typeof changesSince>): unknown[] => changes.map(({ was, is }) => [was, is]);
    expect(said(changesSince(before, now)).length).toBeGreaterThanOrEqual(3);
    expect(said(changesSince(before, reworded(now)))).toEqual(said(changesSince(before, now)));
  });

  it('a pack signed before lines had ids is compared by what they were called, and one unchanged has no changes', () => {
    const { sections: now } = packOf();
    expect(changesSince(former(now), now)).toEqual([]);
    const { sections: later } = packOf((survey) => {
      survey.place.customerName = 'Somebody else';
    });
    expect(changesSince(former(now), later)).toMatchObject([{ label: 'Customer', is: 'Somebody else' }]);
  });

  it('of the signing itself nothing is a fact of the survey', () => {
    const survey = settledSurvey(clamped);
    const assessment = assess(survey, gbDefault);
    for (const signed of [packOf().sections, former(packOf().sections)])
      expect(changedSinceSigning(signed, survey, assessment, gbDefault)).toEqual([]);
  });
});

describe('the words a pack is sent with', () => {
  it('say the same whatever the lines of the document are called, and of packs signed before they had ids', () => {
    const content = packOf();
    const message = coveringMessage(content);
    expect(message).toContain('Site: ');
    expect(message).toContain('clamp on');
    expect(message).toContain('Signed for by: Maren Oakhanger');
    const others = { ...content, sections: reworded(content.sections) };
    expect(coveringMessage(others)).toBe(message);
    expect(coveringMessage({ ...content, sections: former(content.sections) })).toBe(message);
  });
});
