/** Parts of made-up surveys that several of them share. */
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import type { Load } from '@keen-gauge/core/survey/load';
import type { Reading } from '@keen-gauge/core/survey/reading';
import type { ReadingKind } from '@keen-gauge/core/survey/words/words';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { SupplyNode } from '@keen-gauge/core/survey/supply';
import { DEMO_CHARGER_ID } from './equipment';
import { instrumentName, LOOP_TESTER, type DemoInstrument } from './instruments';

const OPERATOR = 'Wold and Weir Networks';

/** The loads of a starting set. */
export function setLoads(id: string): Load[] {
  const found = STARTING_SETS.find((set) => set.id === id);
  return found ? found.loads.map((load) => ({ ...load })) : [];
}

/** Values put on a node of the survey. */
export function node(survey: Survey, id: string, values: Partial<SupplyNode>): void {
  const found = survey.supply.nodes.find((each) => each.id === id);
  if (found) Object.assign(found, values);
}

/** A made-up charger on ten metres of armoured cable, everything of it settled, with what differs put over it. */
export function charger(values: Partial<Proposal> = {}): Proposal {
  return {
    id: 'charger',
    kind: 'vehicle-charger',
    label: 'Vehicle charger',
    makeAndModel: 'Brindle VC7',
    profile: 'Brindle VC7, 32 A, wired clamp',
    profileId: DEMO_CHARGER_ID,
    ratedA: 32,
    phases: 1,
    limiter: {},
    stepsA: [6, 10, 13, 16, 20, 25, 32],
    clampLinks: ['wired'],
    failSafesA: [0, 6],
    typeTested: 'yes',
    registerReference: 'BRI/VC7/0003',
    canExport: 'no',
    parking: 'outdoors',
    openPen: 'built-in',
    pen: {
      declared: 'yes',
      detection: 'voltage-window',
      secondEarthPath: 'no',
      reason: 'In the maker’s data; nothing more to fit.',
    },
    circuit: {
      deviceRatingA: 40,
      curve: 'B',
      cableType: 'armoured',
      cpc: 'core',
      concealed: 'no',
      segments: [
        {
          id: 'hall',
          lengthM: 4,
          laid: 'clipped',
          circuitsTogether: 1,
          ambientC: 30,
          insulationMm: 0,
          fixedTo: 'brick',
          heightM: 1,
        },
        {
          id: 'drive',
          lengthM: 9,
          laid: 'buried',
          circuitsTogether: 1,
          ambientC: 20,
          insulationMm: 0,
          ground: 'gravel',
          dug: 'us',
          containment: 'duct',
        },
      ],
    },
    rcd: { place: 'built-in', declared: 'yes', rcdType: 'A', residualMa: 30, breaksNeutral: 'yes', dcDetection: 'yes' },
    surge: { decision: 'there-already' },
    position: { heightM: 1.1, reachable: 'yes', obstructs: 'no', toInletM: 3.5, leadM: 5, otherSideLooked: 'yes' },
    dataLink: { clamp: 'wired', network: 'wireless', signalDbm: -61, lengthM: 14 },
    ...values,
  };
}

/** The place and its customer. */
export function at(
  survey: Survey,
  line: string,
  town: string,
  postcode: string,
  number: string,
  customer: string,
): void {
  Object.assign(survey.place, {
    addressLine1: line,
    town,
    postcode,
    meterPointNumber: number,
    customerName: customer,
    customerPhone: '01632 960 000',
    nation: 'england',
    premises: 'household',
    operatorName: OPERATOR,
  });
  survey.works = { travelMin: 25 };
}

/** A usual single-phase intake, looked over and read. */
export function intake(survey: Survey, fuseA: number): void {
  survey.supply.phases = 1;
  node(survey, 'cut-out', {
    ratingA: fuseA,
    evidence: 'label',
    holderMaximumA: 100,
    evidenceNote: 'Tag on the carrier, seal intact.',
  });
  node(survey, 'meter', { ratingA: 100 });
  node(survey, 'isolator', { ratingA: 100, cable: { type: 'tails', sizeMm2: 25, lengthM: 0.4, laid: 'clipped' } });
  node(survey, 'board', {
    ratingA: 100,
    label: 'House board',
    cable: { type: 'tails', sizeMm2: 25, lengthM: 0.8, laid: 'clipped' },
    spareWays: 2,
    acceptsNewDevice: 'yes',
    makersFamily: 'Brindle KB',
    enclosure: 'metal',
    place: 'indoors',
  });
  survey.intake.look = 'fine';
  survey.intake.loop = { status: 'not-looped', evidence: 'cable-traced' };
  survey.earthing = {
    arrangement: 'tn-c-s',
    recognisedBy: 'Earthing conductor to the neutral block of the cut-out.',
    signs: [
      { id: 'conductor-to-neutral-block', answer: 'yes' },
      { id: 'label-says-pme', answer: 'yes' },
    ],
    conductor: { sizeMm2: 16 },
    services: [
      { id: 'gas', incoming: 'plastic' },
      { id: 'water', incoming: 'metal', bonded: 'yes', sizeMm2: 10 },
    ],
  };
  survey.readings = [
    reading('ze', 'loop-impedance-external', 0.21, LOOP_TESTER),
    reading('volts', 'voltage', 241, LOOP_TESTER),
    reading('pfc', 'prospective-fault-current', 1.15, LOOP_TESTER),
  ];
}

/** A reading taken at the cut-out. */
export function reading(id: string, kind: ReadingKind, value: number, instrument: DemoInstrument): Reading {
  return {
    id,
    kind,
    value,
    nodeId: 'cut-out',
    instrument: instrumentName(instrument),
    calibrationDue: instrument.calibrationDue,
    takenBy: 'Tobin Farrowby',
    takenAt: '2026-11-19T10:20:00Z',
  };
}
