import { onShape } from '@keen-gauge/core/tree/edit';
import { STARTING_SHAPES } from '@keen-gauge/core/tree/shapes';
import type { Load } from '@keen-gauge/core/survey/load';
import type { Pool } from '@keen-gauge/core/survey/pool';
import type { Site } from '@keen-gauge/core/survey/site';
import { ELECTRODE_TESTER, LOOP_TESTER } from './instruments';
import { at, charger, intake, node, reading, setLoads } from './parts';
import type { Scenario } from './scenario';

const LANDLORD_AND_FLATS = STARTING_SHAPES.find(({ id }) => id === 'landlord-and-flats')?.nodes ?? [];

/** Eight bays along the court wall, behind the landlord's supply: a car or two at first, one for nearly every door in the end. */
function courtPool(): Pool {
  const firstYear = new Date().getFullYear() + 1;
  return {
    outlets: [1, 2, 3, 4, 5, 6, 7, 8].map((bay) => ({
      id: `bay-${bay}`,
      label: `Bay ${bay}`,
      phases: 3,
      mostA: 32,
      alongM: 12 + (bay - 1) * 2.7,
      ...(bay > 6
        ? {}
        : {
            ownNodeId: `flat-${bay}-switch-fuse`,
            ownRouteM: 24 + 6 * bay,
            crosses: bay === 4 ? ('others' as const) : ('common' as const),
            ...(bay === 4 ? { mustAgree: 'The churchyard’s trustees' } : {}),
          }),
    })),
    nodeId: 'board',
    clampNodeId: 'split-block',
    setPointA: 95,
    failSafeA: 0,
    policy: 'equal',
    turnMin: 15,
    otherEveningA: 28,
    otherElseA: 10,
    firstYear,
    startCars: 2,
    ceilingCars: 8,
    middleYear: firstYear + 4,
    trunk: { mVPerAM: 1.5, capacityA: 80 },
  };
}

/** Whose the supplies of the almshouses are, and what feeding the bays from each costs. */
function courtSite(): Site {
  return {
    supplies: [
      { id: 'trustees', nodeId: 'landlord-switch-fuse', whose: 'landlord', customerName: 'Trustees of Candle Court' },
    ],
    own: { eachPounds: 1150, metrePounds: 38 },
    landlord: { agreed: 'yes', oncePounds: 4800, eachPounds: 890 },
    newFuseA: 100,
    newWeeks: 16,
    anew: { oncePounds: 14_500, eachPounds: 890 },
  };
}

export const SCENARIOS: readonly Scenario[] = [
  {
    place: '9 Candlemas Road, Netherby',
    assignedTo: 1,
    wanted: 'Vehicle charger on the drive',
    by: 3,
    signedBy: 0,
    pictures: [
      {
        drawing: 'cut-out',
        by: 1,
        about: { caption: 'Cut-out, tag reads 100 A, seal intact', subject: 'node', subjectId: 'cut-out' },
      },
      {
        drawing: 'meter-position',
        by: 1,
        about: { caption: 'Whole meter position', subject: 'node', subjectId: 'meter' },
      },
      {
        drawing: 'board',
        by: 1,
        about: { caption: 'Board front, two spare ways', subject: 'node', subjectId: 'board' },
      },
    ],
    stages: [
      {
        by: 3,
        change: (s) => {
          at(s, '9 Candlemas Road', 'Netherby', 'ZZ1 4QT', '9700000012340', 'R. Ashcombe');
        },
      },
      {
        by: 1,
        change: (s) => {
          intake(s, 100);
        },
      },
      {
        by: 1,
        change: (s) => {
          s.loads = setLoads('gas-heated').map((load) =>
            load.id === 'ring-up' ? { ...load, label: 'Radial, upstairs', currentA: 20 } : load,
          );
          s.declaration = {
            basis: 'appliances',
            reason: 'Every appliance was listed with the customer; gas heating and no electric shower.',
          };
        },
      },
      {
        by: 1,
        change: (s) => {
          s.proposals = [charger({ limiter: { kind: 'fixed', fixedA: 16 } })];
        },
      },
    ],
  },
  {
    place: '7 Hollow Row, Netherby',
    assignedTo: 2,
    wanted: 'Vehicle charger, terraced pair',
    by: 3,
    stages: [
      {
        by: 3,
        change: (s) => {
          at(s, '7 Hollow Row', 'Netherby', 'ZZ1 7HR', '9800123456786', 'P. Linnet');
        },
      },
      {
        by: 2,
        change: (s) => {
          intake(s, 60);
          s.intake.loop = {
            status: 'feeds-next-door',
            note: 'Second cable leaves through the party wall to number 5.',
            signs: [
              { id: 'two-service-cables', answer: 'not-fine' },
              { id: 'cable-through-party-wall', answer: 'not-fine' },
            ],
            sharedRatingA: 100,
          };
          s.loads = setLoads('gas-heated');
        },
      },
      {
        by: 2,
        change: (s) => {
          s.proposals = [charger({ limiter: { kind: 'clamp', setPointA: 50, failSafeA: 6, clampNodeId: 'isolator' } })];
        },
      },
    ],
  },
  {
    place: 'Larkrise, Mill Drove, Ossett Fen',
    wanted: 'Heat pump already in; charger for a van',
    by: 1,
    log: {
      by: 1,
      fileName: 'larkrise-january.csv',
      plays: { dialect: 'plain', days: 16, seed: 11, from: '2026-01-07', everyS: 60 },
    },
    stages: [
      {
        by: 1,
        change: (s) => {
          at(s, 'Larkrise, Mill Drove', 'Ossett Fen', 'ZZ4 2LK', '9602044177114', 'J. and T. Merriday');
        },
      },
      {
        by: 1,
        change: (s) => {
          intake(s, 80);
          s.loads = setLoads('heat-pump-home').map((load) =>
            load.id === 'heat-pump' ? { ...load, backupWithCompressor: 'no' as const } : load,
          );
          s.declaration = {
            basis: 'appliances',
            reason: 'Appliances listed room by room; back-up heater locked out by the installer.',
          };
        },
      },
      {
        by: 1,
        change: (s) => {
          s.proposals = [
            charger({
              label: 'Van charger',
              limiter: {
                kind: 'clamp',
                setPointA: 70,
                failSafeA: 6,
                clampNodeId: 'isolator',
                fit: { conductor: 'line', arrowAlong: 'yes', insideSealed: 'no', seesExport: 'no' },
              },
            }),
          ];
        },
      },
    ],
  },
  {
    place: 'Slipway Pottery, Tan Yard, Netherby',
    wanted: 'Charger beside the studio; kiln on the same board',
    by: 2,
    stages: [
      {
        by: 2,
        change: (s) => {
          at(s, 'Slipway Pottery, Tan Yard', 'Netherby', 'ZZ1 9TY', '9700000012340', 'Slipway Pottery');
          s.place.premises = 'small-shop-or-office';
          intake(s, 100);
          s.loads = [
            { id: 'lights', class: 'lighting', label: 'Studio lighting', powerW: 36, quantity: 14, fixedLed: true },
            { id: 'sockets', class: 'socket-circuit', label: 'Studio ring', currentA: 32 },
            { id: 'kiln', class: 'hot-tub-sauna-kiln-welder', label: 'Kiln', powerW: 9000, interlock: 'kiln or car' },
            { id: 'wheel', class: 'motor', label: 'Throwing wheels', powerW: 370, powerFactor: 0.75, quantity: 2 },
            { id: 'water', class: 'instantaneous-water-heating', label: 'Sink heater', powerW: 3000 },
          ];
        },
      },
      {
        by: 2,
        change: (s) => {
          s.proposals = [charger({ interlock: 'kiln or car' })];
        },
      },
    ],
  },
  {
    place: 'Fold Yard Veterinary Surgery, Brough Lane',
    wanted: 'Two staff chargers, three-phase supply',
    by: 1,
    stages: [
      {
        by: 1,
        change: (s) => {
          at(s, 'Fold Yard, Brough Lane', 'Ossett Fen', 'ZZ4 8FY', '9800123456786', 'Fold Yard Veterinary Surgery');
          s.place.premises = 'small-shop-or-office';
          intake(s, 100);
          s.supply.phases = 3;
          s.loads = [
            {
              id: 'lights',
              class: 'lighting',
              label: 'Lighting',
              powerW: 40,
              quantity: 60,
              fixedLed: true,
              phase: 'L1',
            },
            {
              id: 'sockets-1',
              class: 'socket-circuit',
              label: 'Consulting room sockets',
              currentA: 32,
              quantity: 2,
              phase: 'L1',
            },
            {
              id: 'sockets-2',
              class: 'socket-circuit',
              label: 'Theatre sockets',
              currentA: 32,
              quantity: 2,
              phase: 'L2',
            },
            { id: 'sockets-3', class: 'socket-circuit', label: 'Office sockets', currentA: 32, phase: 'L3' },
            { id: 'autoclave', class: 'heating-and-power', label: 'Autoclave', powerW: 2200, phase: 'L2' },
            { id: 'xray', class: 'heating-and-power', label: 'X-ray set', currentA: 16, phase: 'L3' },
            { id: 'cooling', class: 'motor', label: 'Air conditioning', powerW: 6000, powerFactor: 0.9, phase: 'all' },
            { id: 'water', class: 'thermostatic-water-heating', label: 'Water heater', powerW: 3000, phase: 'L3' },
          ];
        },
      },
      {
        by: 1,
        change: (s) => {
          s.proposals = [
            charger({ label: 'Charger, bay 1', phase: 'L3' }),
            charger({ id: 'charger-2', label: 'Charger, bay 2', phase: 'L2' }),
          ];
          s.request = { installationsOnDevelopment: 2 };
        },
      },
    ],
  },
  {
    place: 'Candle Court Almshouses, Church End',
    wanted: 'Shared charger for six almshouses, landlord supply',
    by: 0,
    stages: [
      {
        by: 0,
        change: (s) => {
          at(s, 'Candle Court', 'Church End', 'ZZ2 6CC', '9602044177114', 'Trustees of Candle Court');
          Object.assign(s, onShape(s, LANDLORD_AND_FLATS, 3));
          intake(s, 100);
          s.supply.phases = 3;
          node(s, 'board', { label: 'Landlord board' });
          for (const fuse of s.supply.nodes.filter(({ kind }) => kind === 'switch-fuse'))
            Object.assign(fuse, { ratingA: 60, evidence: 'label' });
          Object.assign(s.supply.nodes.find(({ id }) => id === 'landlord-switch-fuse') ?? {}, { ratingA: 100 });
          node(s, 'split-block', { ratingA: 200 });
          for (const part of s.supply.nodes.filter(({ kind }) => kind === 'meter' || kind === 'board'))
            part.ratingA ??= 100;
          s.loads = [
            {
              id: 'stairs',
              class: 'lighting',
              label: 'Court and stair lighting',
              powerW: 12,
              quantity: 30,
              fixedLed: true,
              phase: 'L1',
            },
            { id: 'laundry', class: 'socket-circuit', label: 'Laundry sockets', currentA: 32, phase: 'L2' },
            {
              id: 'pumps',
              class: 'motor',
              label: 'Heating pumps',
              powerW: 550,
              powerFactor: 0.8,
              quantity: 2,
              phase: 'L3',
            },
          ].map((load) => ({ ...load, nodeId: 'board' }) as Load);
          for (const flat of [1, 2, 3, 4, 5, 6])
            for (const load of setLoads('gas-heated').filter(({ id }) => id !== 'ring-up'))
              s.loads.push({ ...load, id: `${load.id}-${flat}`, nodeId: `flat-${flat}-board` });
          s.proposals = [
            charger({ id: 'bay-1', label: 'Bay 1', openPen: 'separate-device', nodeId: 'board', phases: 3 }),
          ];
          s.generation = [];
          s.pool = courtPool();
          s.site = courtSite();
        },
      },
    ],
  },
  {
    place: 'High Sett Cottage, Beck Side',
    wanted: 'Charger at a hill cottage, overhead lines',
    by: 1,
    stages: [
      {
        by: 1,
        change: (s) => {
          at(s, 'High Sett Cottage, Beck Side', 'Thorngill', 'ZZ8 3HS', '97 0000 0012 341', 'M. Dunnock');
          intake(s, 60);
          node(s, 'cut-out', {
            evidence: 'moulding',
            holderMaximumA: 60,
            evidenceNote: 'Black head on a pole bracket; no tag.',
          });
          node(s, 'board', { label: 'Cottage board', fedFrom: 'cottage-rcd' });
          s.supply.nodes.push(
            { id: 'split', kind: 'split-block', fedFrom: 'isolator', ratingA: 100 },
            {
              id: 'cottage-rcd',
              kind: 'rcd',
              fedFrom: 'split',
              label: 'Cottage RCD',
              ratingA: 100,
              rcdType: 'A',
              residualMa: 100,
              timeDelayed: true,
            },
            { id: 'byre', kind: 'board', fedFrom: 'split', label: 'Byre board', ratingA: 63, place: 'garage-or-shed' },
          );
          s.earthing = {
            arrangement: 'tt',
            recognisedBy: 'Rod in a pit by the porch; no earth at the head.',
            signs: [
              { id: 'conductor-to-rod', answer: 'yes' },
              { id: 'overhead-lines', answer: 'yes' },
            ],
            conductor: { sizeMm2: 16 },
            services: [
              { id: 'water', incoming: 'plastic' },
              { id: 'oil', incoming: 'metal', bonded: 'no' },
            ],
          };
          s.readings = [
            reading('rod', 'electrode-resistance', 240, ELECTRODE_TESTER),
            reading('volts', 'voltage', 247, LOOP_TESTER),
          ];
          s.loads = setLoads('gas-heated-shower')
            .filter(({ id }) => id !== 'ring-up')
            .map((load) => ({ ...load, nodeId: 'board' }));
        },
      },
      {
        by: 1,
        change: (s) => {
          s.proposals = [charger({ nodeId: 'board', limiter: { kind: 'fixed', fixedA: 16 } })];
          for (const proposal of s.proposals) {
            delete proposal.openPen;
            delete proposal.pen;
          }
        },
      },
    ],
  },
  {
    place: 'The Boathouse, Weir Meadow',
    wanted: 'Charger at the far end of a long feeder',
    by: 2,
    stages: [
      {
        by: 2,
        change: (s) => {
          at(s, 'Weir House and Boathouse', 'Weir Meadow', 'ZZ5 1BH', '9700000012340', 'S. Halcyon');
          intake(s, 100);
          s.supply.nodes.push(
            {
              id: 'feeder',
              kind: 'feeder',
              fedFrom: 'board',
              label: 'Boathouse feeder',
              ratingA: 20,
              deviceType: 'mcb',
              curve: 'B',
              claimedRatingA: 32,
              cable: {
                type: 'armoured',
                sizeMm2: 4,
                lengthM: 40,
                laid: 'buried',
                circuitsTogether: 1,
                ambientC: 20,
                insulationMm: 0,
                cpc: 'core',
              },
            },
            { id: 'boathouse', kind: 'board', fedFrom: 'feeder', label: 'Boathouse board', ratingA: 40 },
          );
          s.loads = [
            ...setLoads('gas-heated').map((load) => ({ ...load, nodeId: 'board' })),
            { id: 'hoist', class: 'motor', label: 'Boat hoist', powerW: 1100, powerFactor: 0.8, nodeId: 'boathouse' },
            {
              id: 'boathouse-heat',
              class: 'heating-and-power',
              label: 'Boathouse heater',
              powerW: 1500,
              nodeId: 'boathouse',
            },
          ];
        },
      },
      {
        by: 2,
        change: (s) => {
          s.works = {
            travelMin: 35,
            powerOffH: 3,
            gasBeside: 'no',
            drillings: [{ id: 'gable', through: 'stone', thicknessMm: 450, where: 'boathouse gable' }],
            rooms: [{ id: 'lawn', room: 'Lawn to the weir', disrupts: ['garden'] }],
          };
          s.proposals = [
            charger({
              nodeId: 'boathouse',
              circuit: {
                deviceRatingA: 32,
                curve: 'B',
                cableType: 'flat-twin',
                concealed: 'no',
                segments: [
                  { id: 'wall', lengthM: 3, laid: 'clipped', circuitsTogether: 1, ambientC: 30, insulationMm: 0 },
                ],
              },
            }),
          ];
        },
      },
    ],
  },
  {
    place: 'Flat 4, Ropewalk House, Netherby',
    pictures: [
      {
        drawing: 'scorched',
        by: 2,
        about: { caption: 'Browned carrier on the line side', subject: 'fault', subjectId: 'scorch' },
      },
    ],
    wanted: 'Charger in the yard; all-electric flat',
    by: 2,
    stages: [
      {
        by: 2,
        change: (s) => {
          at(s, 'Flat 4, Ropewalk House', 'Netherby', 'ZZ1 5RW', '9800123456786', 'C. Wren');
          intake(s, 80);
          s.intake.look = 'not-fine';
          s.intake.faults = [
            {
              id: 'scorch',
              fault: 'heat-damage',
              grade: 'make-safe-now',
              note: 'Browned carrier on the line side, smell of heat.',
            },
          ];
          s.loads = setLoads('all-electric-flat');
          s.proposals = [charger()];
        },
      },
    ],
  },
  {
    place: '31 Quern Street, Church End',
    wanted: 'Vehicle charger; customer is sending photographs',
    by: 3,
    stages: [],
  },
];
