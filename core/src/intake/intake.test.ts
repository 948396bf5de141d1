import { gbDefault } from '../rules/gb-default';
import type { ConditionFault, Intake, Loop } from '../survey/intake';
import { FAULTS, LOOP_SIGNS, type Fault, type Look, type LoopEvidence, type LoopStatus } from '../survey/words/words';
import { conditionFindings, conditionNotKnown, conditionVerdict, type ConditionVerdict } from './condition';
import { fuseRating } from './fuse-rating';
import { loopFindings, loopVerdict } from './loop-status';

const intake = (look: Intake['look'], ...grades: (ConditionFault['grade'] | undefined)[]): Intake => ({
  ...(look ? { look } : {}),
  loop: {},
  faults: grades.map((grade, at) => ({ id: `f${at}`, fault: 'heat-damage', ...(grade ? { grade } : {}) })),
});

describe('condition', () => {
  it.each<[string, Intake, ConditionVerdict]>([
    ['nobody looked', intake(undefined), 'not-known'],
    ['could not be seen', intake('could-not-see'), 'not-known'],
    ['not fine, with no fault named', intake('not-fine'), 'not-known'],
    ['fine', intake('fine'), 'fit'],
    ['not fine, but only noted', intake('not-fine', 'note'), 'fit'],
    ['a fault without a grade', intake('fine', undefined), 'put-right-first'],
    ['the gravest decides', intake('not-fine', 'note', 'make-safe-now', 'before-load-added'), 'make-safe'],
    ['danger needs no look', intake(undefined, 'make-safe-now'), 'make-safe'],
  ])('%s', (_name, seen, verdict) => {
    expect(conditionVerdict(seen)).toBe(verdict);
  });

  it('puts the emergency number with a danger, and asks while nothing is known', () => {
    expect(conditionFindings(intake('not-fine', 'make-safe-now'), gbDefault)).toEqual([
      expect.objectContaining({ grade: 'danger', remedy: expect.stringContaining('105') }),
    ]);
    expect(conditionNotKnown(intake(undefined))).toBe('Is the intake in good condition?');
  });
});

describe('the guided look', () => {
  const looked = (over: Partial<Record<Fault, Look>>): Intake => ({
    loop: {},
    faults: [],
    looks: FAULTS.filter((id) => id !== 'other').map((id) => ({ id, answer: over[id] ?? 'fine' })),
  });
  it('is enough by itself once every fault was looked for', () => {
    expect(conditionVerdict(looked({}))).toBe('fit');
    expect(conditionVerdict({ ...looked({}), looks: looked({}).looks?.slice(1) ?? [] })).toBe('not-known');
  });
  it('is not enough where one could not be seen, whatever was said of the whole', () => {
    const seen = looked({ 'leaking-compound': 'could-not-see' });
    expect(conditionVerdict(seen)).toBe('not-known');
    expect(conditionVerdict({ ...seen, look: 'fine' })).toBe('not-known');
    expect(conditionNotKnown(seen)).toBe('Could not be seen at the intake: compound leaking.');
  });
  it('is not enough where a fault is there and not recorded', () => {
    expect(conditionVerdict(looked({ 'heat-damage': 'not-fine' }))).toBe('not-known');
  });
});

describe('overriding a hold', () => {
  const fault: ConditionFault = { id: 'f', fault: 'heat-damage', grade: 'make-safe-now' };
  const [by, reason] = ['M. Oakhanger', 'Operator’s engineer attended and made it safe, ref. 88.'];
  const held = (...faults: ConditionFault[]): Intake => ({ look: 'not-fine', loop: {}, faults });
  it.each<[string, ConditionFault, ConditionVerdict]>([
    ['nobody did', fault, 'make-safe'],
    ['a name alone', { ...fault, overriddenBy: by }, 'make-safe'],
    ['a reason alone', { ...fault, overrideReason: reason }, 'make-safe'],
    ['blanks', { ...fault, overriddenBy: ' ', overrideReason: ' ' }, 'make-safe'],
    ['both', { ...fault, overriddenBy: by, overrideReason: reason }, 'put-right-first'],
  ])('%s', (_what, seen, verdict) => {
    expect(conditionVerdict(held(seen))).toBe(verdict);
  });
  it('lifts no other danger, and hides none', () => {
    const overridden = { ...fault, overriddenBy: by, overrideReason: reason };
    expect(conditionVerdict(held(overridden, { ...fault, id: 'g' }))).toBe('make-safe');
    expect(conditionFindings(held(overridden), gbDefault)).toEqual([
      expect.objectContaining({ grade: 'danger', title: expect.stringContaining(reason) }),
    ]);
  });
});

describe('loop', () => {
  it.each<[LoopStatus | undefined, LoopEvidence | undefined, string, readonly string[]]>([
    [undefined, undefined, 'not-known', []],
    ['unknown', undefined, 'not-known', []],
    ['not-looped', undefined, 'not-known', []],
    ['not-looped', 'signs-only', 'not-known', []],
    ['not-looped', 'cable-traced', 'own', []],
    ['not-looped', 'operator-record', 'own', []],
    ['feeds-next-door', undefined, 'looped', ['service-looped']],
    ['fed-from-next-door', 'signs-only', 'looped', ['service-looped']],
  ])('%s, %s: %s', (status, evidence, verdict, findings) => {
    const loop = { ...(status ? { status } : {}), ...(evidence ? { evidence } : {}) };
    expect(loopVerdict(loop)).toBe(verdict);
    expect(loopFindings(loop, gbDefault).map(({ id }) => id)).toEqual(findings);
  });

  it.each<[string, Partial<Loop>]>([
    ...LOOP_SIGNS.map((id): [string, Partial<Loop>] => [id, { signs: [{ id, answer: 'not-fine' }] }]),
    ['a neighbour counted', { neighbours: 1 }],
    ['a neighbour’s demand', { neighbourDemandA: 20 }],
    ['what the shared service may carry', { sharedRatingA: 100 }],
  ])('recorded as not looped, cable traced, against %s: not known, and to be put right', (_what, more) => {
    const loop: Loop = { status: 'not-looped', evidence: 'cable-traced', ...more };
    expect(loopVerdict(loop)).toBe('not-known');
    expect(loopFindings(loop, gbDefault).map(({ id }) => id)).toEqual(['loop-signs-against']);
  });
});

describe('fuse rating', () => {
  const cutOut = (values: object) => ({ id: 'c', kind: 'cut-out', ...values }) as const;
  it.each<[string, object | undefined, number, boolean | null]>([
    [
      'a label above what the holder is moulded for',
      { ratingA: 100, holderMaximumA: 60, evidence: 'label' },
      60,
      false,
    ],
    ['a record above it contradicts it too', { ratingA: 80, holderMaximumA: 60, evidence: 'record' }, 60, false],
    ['a label of more than cut-outs hold', { ratingA: 3000, evidence: 'label' }, 60, null],
    ['which the operator’s record may say', { ratingA: 200, evidence: 'record' }, 200, true],
    ['no cut-out at all', undefined, 60, null],
    ['nothing seen', {}, 60, null],
    ['a rating without evidence', { ratingA: 100 }, 60, null],
    ['assumed 40 A: no more than that', { ratingA: 40, evidence: 'assumed' }, 40, null],
    ['moulding 100 A says nothing of the fuse', { holderMaximumA: 100, evidence: 'moulding' }, 60, null],
    ['a label without a rating', { evidence: 'label' }, 60, null],
    ['label 45 A', { ratingA: 45, evidence: 'label' }, 45, true],
    ['record 100 A', { ratingA: 100, evidence: 'record' }, 100, true],
  ])('%s', (_name, values, ratingA, established) => {
    const device = values && cutOut(values);
    const made = fuseRating(device, gbDefault);
    expect({ ratingA: made.ratingA, established: made.established }).toEqual({ ratingA, established });
    expect(made.figure.value).toBe(ratingA);
  });
});
