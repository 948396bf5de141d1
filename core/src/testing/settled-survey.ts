import { blankSurvey } from '../survey/blank';
import { readSurvey } from '../survey/opening/read';
import type { Survey } from '../survey/survey';

export type Change = (survey: Survey) => void;

/**
 * For tests: a home with nothing open and no generation. 100 A by label, own service, looked over, TN-S at 0.4 Ω, 20.52 A of loads, a 32 A
 * charger on 10 m of 6 mm² flat twin clipped behind B40, its RCD built in. Each change is made before it is read.
 */
export function settledSurvey(...changes: Change[]): Survey {
  const base = blankSurvey();
  Object.assign(base.place, {
    meterPointNumber: '9700000012340',
    premises: 'household',
    addressLine1: '1 Test Lane',
    postcode: 'ZZ1 1TL',
    customerName: 'A. Tester',
    customerPhone: '01632 960 000',
    operatorName: 'Test Networks',
  });
  base.supply.phases = 1;
  Object.assign(nodeOf(base, 'cut-out'), { ratingA: 100, evidence: 'label' });
  for (const id of ['meter', 'isolator', 'board'])
    Object.assign(nodeOf(base, id), { ratingA: 100, cable: { sizeMm2: 25, lengthM: 0.5, laid: 'clipped' } });
  Object.assign(nodeOf(base, 'board'), {
    spareWays: 2,
    acceptsNewDevice: 'yes',
    enclosure: 'metal',
    place: 'indoors',
  });
  base.intake = { look: 'fine', faults: [], loop: { status: 'not-looped', evidence: 'cable-traced' } };
  base.earthing = {
    arrangement: 'tn-s',
    recognisedBy: 'sheath clamp seen',
    zeOhm: 0.4,
    conductor: { sizeMm2: 16 },
    services: [
      { id: 'gas', incoming: 'plastic' },
      { id: 'water', incoming: 'metal', bonded: 'yes', sizeMm2: 10 },
    ],
  };
  base.generation = [];
  base.loads = [
    { id: 'lights', class: 'lighting', powerW: 180, fixedLed: true },
    { id: 'ring', class: 'socket-circuit', currentA: 20 },
  ];
  base.proposals = [
    {
      id: 'car',
      kind: 'vehicle-charger',
      makeAndModel: 'Plain 7',
      registerReference: 'PL/7/1',
      ratedA: 32,
      phases: 1,
      limiter: {},
      typeTested: 'yes',
      canExport: 'no',
      parking: 'outdoors',
      circuit: {
        deviceRatingA: 40,
        curve: 'B',
        cableType: 'flat-twin',
        sizeMm2: 6,
        concealed: 'no',
        segments: [{ id: 'wall', lengthM: 10, laid: 'clipped', circuitsTogether: 1, ambientC: 30, insulationMm: 0 }],
      },
      rcd: {
        place: 'built-in',
        declared: 'yes',
        residualMa: 30,
        rcdType: 'A',
        dcDetection: 'yes',
        breaksNeutral: 'yes',
      },
      surge: { decision: 'there-already' },
      position: { heightM: 1, reachable: 'yes', obstructs: 'no', toInletM: 3, leadM: 5, otherSideLooked: 'yes' },
    },
  ];
  for (const change of changes) change(base);
  const read = readSurvey(JSON.parse(JSON.stringify(base)));
  if ('faults' in read) throw new Error(JSON.stringify(read.faults));
  return read.survey;
}

/** A clamp put on as it should be, nothing of it open. */
export const WELL_PUT_ON = { conductor: 'line', arrowAlong: 'yes', insideSealed: 'no' } as const;

/** A node of a survey that is known to have it. */
export function nodeOf(of: Survey, id: string): Survey['supply']['nodes'][number] {
  const found = of.supply.nodes.find((each) => each.id === id);
  if (!found) throw new Error(`no node ${id}`);
  return found;
}
