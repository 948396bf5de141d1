import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Survey } from '../survey/survey';
import { composePack, type PackContent } from './compose';
import { settledSurvey } from '../testing/settled-survey';
import { figureText } from './rows';
import { missingItems } from './missing';
import { unknownFigure } from '../worked';

const signedBy = { firm: 'Firm', name: 'A. Person', registration: 'R-1', at: '2026-11-24T09:00:00Z' };

function composed(change: (survey: Survey) => void): PackContent {
  const survey = blankSurvey();
  change(survey);
  return composePack(survey, assess(survey, gbDefault), gbDefault, signedBy);
}

function row(content: PackContent, section: string, label: string) {
  return content.sections.find(({ title }) => title.startsWith(section))?.rows.find((each) => each.label === label);
}

const withCharger = (values: object) => (survey: Survey) => {
  survey.proposals = [{ id: 'c', kind: 'vehicle-charger', label: 'Charger', limiter: {}, ...values }];
};

describe('what a pack says', () => {
  it('of a blank survey: everything not known, nothing left out in silence', () => {
    const content = composed(() => undefined);
    expect(content.title).toBe('Application to connect new equipment');
    expect(row(content, 'Site', 'Customer')?.value).toBe('Not known');
    expect(row(content, 'Existing', 'Cut-out fuse')).toEqual({
      id: 'cut-out-fuse',
      label: 'Cut-out fuse',
      value: 'Not established; 60 A used as fallback',
      note: 'Evidence: none',
    });
    expect(row(content, 'Maximum', 'Before the work')?.value).toBe('Not known (No loads have been entered.)');
    expect(content.missing.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['no-loads', 'customer-name', 'postcode', 'operator-name']),
    );
  });

  it('of a dangerous intake: a report with the emergency number, not an application', () => {
    const content = composed((survey) =>
      survey.intake.faults.push({ id: 'f', fault: 'exposed-live-parts', grade: 'make-safe-now' }),
    );
    expect(content.title).toMatch(/^Report of a dangerous intake/);
    expect(content.purpose).toContain('105');
  });

  it('keeps a faulty meter point number as typed, with what is wrong with it', () => {
    const content = composed((survey) => (survey.place.meterPointNumber = '97 00'));
    expect(row(content, 'Site', 'Meter point number (MPAN)')).toMatchObject({
      value: '97 00',
      note: expect.stringContaining('4 digits'),
    });
  });

  it('prints a limiter with its setting, clamp and fail-safe', () => {
    const limiter = { kind: 'clamp', setPointA: 50, failSafeA: 6, clampNodeId: 'meter' };
    const content = composed(withCharger({ ratedA: 32, limiter }));
    expect(row(content, 'New equipment', 'Managed by clamp')).toMatchObject({ value: 'Meter', note: 'set-point 50 A' });
    expect(row(content, 'New equipment', 'Fail-safe current')?.value).toBe('6 A');
    // Before the meter it is known not to hold: what it would keep the demand to is not said.
    expect(row(content, 'Maximum demand', 'After the work, managed')).toBeUndefined();
    const two = composed(
      withCharger({ ratedA: 32, limiter: { ...limiter, moreClamps: [{ id: 'm', nodeId: 'board', setPointA: 20 }] } }),
    );
    expect(row(two, 'New equipment', 'Clamp 2 of 2')).toMatchObject({ value: 'Board', note: 'set-point 20 A' });
  });

  it('speaks of open PEN only where the earth may come from the supply’s neutral', () => {
    const label = 'Open-PEN protection';
    expect(row(composed(withCharger({})), 'New equipment', label)?.value).toBe('Not known');
    const tt = composed((survey) => {
      withCharger({})(survey);
      survey.earthing.arrangement = 'tt';
    });
    expect(row(tt, 'New equipment', label)).toBeUndefined();
  });

  it('writes figures with their unit and their doubt', () => {
    expect(figureText({ label: '', value: 5, unit: 'A', bound: 'at-least', working: [] })).toBe('at least 5.0 A');
    expect(figureText({ label: '', value: 1.234, unit: 'kVA', bound: 'exact', working: [] })).toBe('1.23 kVA');
    expect(figureText(unknownFigure('', 'A', 'Why.'))).toBe('Not known (Why.)');
  });
});

describe('what is missing', () => {
  const missing = (change: (survey: Survey) => void): string[] => {
    const survey = blankSurvey();
    change(survey);
    return missingItems(assess(survey, gbDefault)).map(({ id }) => id);
  };
  it('wants one way of reaching the customer, not two', () => {
    expect(missing(() => undefined)).toContain('customer-contact');
    expect(missing((survey) => (survey.place.customerEmail = 'a@b.example'))).not.toContain('customer-contact');
  });
  it('wants a register reference only of equipment said to be on the register', () => {
    expect(missing(withCharger({ typeTested: 'no' }))).not.toContain('register-reference');
    expect(missing(withCharger({ typeTested: 'yes' }))).toContain('register-reference');
    expect(missing(withCharger({ typeTested: 'yes', registerReference: 'X' }))).not.toContain('register-reference');
  });
});

describe('what a pack says of earth and circuit', () => {
  const settled = composePack(settledSurvey(), assess(settledSurvey(), gbDefault), gbDefault, signedBy);

  it('prints the readings, the conductor, and each service with why', () => {
    expect(row(settled, 'Earthing', 'Ze, highest reading')?.value).toBe('0.4 Ω');
    expect(row(settled, 'Earthing', 'Earthing conductor')).toMatchObject({
      value: '16 mm² copper',
      note: '16 mm² at least: holds',
    });
    expect(row(settled, 'Earthing', 'Bonding: water')).toMatchObject({ value: 'Metal, bonded 10 mm²' });
    expect(row(settled, 'Earthing', 'Bonding: gas')?.note).toContain('plastic');
  });

  it('prints the device, the RCD and the cable with what limits it, and its workings in the annex', () => {
    expect(row(settled, 'Circuit', 'Device')?.value).toBe('B40 A');
    expect(row(settled, 'Circuit', 'RCD of its own')?.value).toBe('30 mA type A, in the equipment');
    expect(row(settled, 'Circuit', 'Cable')).toMatchObject({
      value: 'Flat twin with cpc, 70 °C, 6 mm², 10 m',
      note: 'passes; 6 mm² is the smallest that passes, limited by current-carrying capacity',
    });
    // 7.3 × 32 × 10 ÷ 1000 = 2.336 V = 1.02 %; 0.4 + 1.2 × 10.49 × 10 ÷ 1000 = 0.526 Ω
    expect(row(settled, 'Circuit', 'Volt drop from the origin')?.value).toBe('1.02 %');
    expect(row(settled, 'Circuit', 'Loop impedance at its end')).toMatchObject({
      value: '0.53 Ω',
      note: '1.09 Ω at most',
    });
    expect(settled.workings.map(({ label }) => label)).toContain('New charger: volt drop from the origin');
  });

  it('prints the way chosen against an open PEN conductor with its reason', () => {
    const survey = settledSurvey((s) => {
      s.earthing.arrangement = 'tn-c-s';
      for (const proposal of s.proposals)
        Object.assign(proposal, { openPen: 'built-in', pen: { reason: 'maker’s data', secondEarthPath: 'no' } });
    });
    const content = composePack(survey, assess(survey, gbDefault), gbDefault, signedBy);
    expect(row(content, 'New equipment', 'Open-PEN protection')).toEqual({
      id: 'open-pen-protection',
      label: 'Open-PEN protection',
      value: 'Built into the charger (not confirmed)',
      note: 'Not known yet: Its maker must declare that it disconnects line, neutral and protective conductor.; maker’s data; second earth path: no',
    });
  });
});
