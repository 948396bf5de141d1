import { checkDigit } from '@keen-gauge/core/route/meter-point';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { at, charger, intake, setLoads } from './parts';
import type { DemoPicture } from './pictures';
import type { DemoDay, DemoQuotation, Scenario } from './scenario';

const [MAREN, TOBIN, ISLA, PIERS] = [0, 1, 2, 3] as const;

interface Home {
  readonly line: string;
  readonly town: string;
  readonly postcode: string;
  readonly customer: string;
  readonly wanted: string;
  readonly by?: number;
  readonly assignedTo?: number | null;
  readonly changedDaysAgo: number;
  readonly days?: readonly DemoDay[];
  readonly quoted?: DemoQuotation;
}

let homes = 2001;
/** A meter point number nobody has, with its check digit; one for each home as it is written down below. */
function nextMeterPoint(): string {
  const stem = `97000000${(homes += 1)}`;
  return `${stem}${checkDigit(stem)}`;
}

const PICTURES: readonly DemoPicture[] = [
  {
    drawing: 'cut-out-80',
    by: TOBIN,
    about: { caption: 'Cut-out, tag reads 80 A, seal intact', subject: 'node', subjectId: 'cut-out' },
  },
  {
    drawing: 'charger-wall',
    by: TOBIN,
    about: { caption: 'Where it is to hang, beside the garage door', subject: 'proposal', subjectId: 'charger' },
  },
];

/** A job of which no more is known than who rang. */
function rung(home: Home): Scenario {
  const { line, town, postcode, customer, by = PIERS } = home;
  const meterPoint = nextMeterPoint();
  return {
    ...home,
    place: `${line}, ${town}`,
    by,
    known: (s) => {
      at(s, line, town, postcode, meterPoint, customer);
    },
    stages: [],
  };
}

/** A job half surveyed: the intake is read, the loads are still the usual ones. */
function begun(home: Home, fuseA: number): Scenario {
  const { by = TOBIN } = home;
  const job = rung(home);
  return {
    ...job,
    stages: [
      ...job.stages,
      {
        by,
        change: (s) => {
          intake(s, fuseA);
          s.loads = setLoads('gas-heated').map((load) => ({ ...load, assumed: true }));
        },
      },
    ],
  };
}

/** A home surveyed to its end: an 80 A fuse, gas heating, a charger held to 16 A; what is different about it put over that. */
function settled(
  home: Home,
  differs: (survey: Survey) => void = () => undefined,
  equipment: Partial<Proposal> = {},
): Scenario {
  const job = rung(home);
  return {
    ...job,
    signedBy: home.assignedTo === TOBIN ? TOBIN : MAREN,
    pictures: PICTURES,
    stages: [
      ...job.stages,
      {
        by: TOBIN,
        change: (s) => {
          intake(s, 80);
        },
      },
      {
        by: TOBIN,
        change: (s) => {
          s.loads = setLoads('gas-heated').map((load) =>
            load.id === 'ring-up' ? { ...load, label: 'Radial, upstairs', currentA: 20 } : load,
          );
          s.declaration = { basis: 'appliances', reason: 'Listed with the customer; gas heating, no electric shower.' };
          s.proposals = [charger({ limiter: { kind: 'fixed', fixedA: 16 }, ...equipment })];
          differs(s);
        },
      },
    ],
  };
}

/** The supply is to be made stronger: the operator is asked first. */
const strongerFuse = (s: Survey): void => {
  s.request = { ...s.request, fuseUpgrade: true, wantedFuseA: 100 };
};

/** A garage on an old feeder: held to what it carries now, and a cable of its own in spring. */
const garageInSteps = (s: Survey): void => {
  for (const node of s.supply.nodes) if (node.kind === 'cut-out') node.ratingA = 100;
  s.supply.nodes.push({
    id: 'garage',
    kind: 'feeder',
    label: 'Garage feeder',
    fedFrom: 'board',
    ratingA: 20,
    curve: 'B',
    deviceType: 'mcb',
    cable: {
      type: 'armoured',
      sizeMm2: 2.5,
      lengthM: 28,
      laid: 'buried',
      cpc: 'core',
      circuitsTogether: 1,
      ambientC: 20,
      insulationMm: 0,
      terminalsFor90: 'no',
    },
  });
  s.loads.push({ id: 'freezer', class: 'motor', label: 'Garage freezer', powerW: 400, nodeId: 'garage' });
  for (const proposal of s.proposals)
    if (proposal.circuit)
      proposal.circuit.segments = [
        {
          id: 'wall',
          lengthM: 4,
          laid: 'clipped',
          circuitsTogether: 1,
          ambientC: 30,
          insulationMm: 0,
          fixedTo: 'brick',
        },
      ];
  s.stages = [
    { id: 'now', option: 'fixed-limit' },
    { id: 'spring', option: 'new-feeder', name: 'A cable of its own in spring' },
  ];
};

/** A working week of the demo firm, seen from today: jobs at every stage, some late, some nobody has. */
export const WEEK: readonly Scenario[] = [
  rung({
    line: '12 Tallow Row',
    town: 'Fennelby',
    postcode: 'ZZ9 2TR',
    customer: 'H. Birkdale',
    wanted: 'Vehicle charger on the drive',
    assignedTo: TOBIN,
    changedDaysAgo: 1,
    days: [{ kind: 'survey-booked', inDays: 0, by: PIERS }],
  }),
  rung({
    line: 'Pinfold House, Cross Lane',
    town: 'Netherby',
    postcode: 'ZZ1 6PH',
    customer: 'S. Marchbank',
    wanted: 'Heat pump, and a charger later',
    assignedTo: ISLA,
    changedDaysAgo: 2,
    days: [{ kind: 'survey-booked', inDays: 1, by: PIERS }],
  }),
  {
    ...rung({
      line: '4 Sluice Cottages',
      town: 'Ossett Fen',
      postcode: 'ZZ3 4SC',
      customer: 'B. Yarwood',
      wanted: 'Vehicle charger, shared yard',
      assignedTo: null,
      changedDaysAgo: 0,
    }),
    // What somebody who rings says of it; the rest came by the customer's own survey.
    stages: [
      {
        by: PIERS,
        change: (s) => {
          s.proposals = [charger()];
          s.place = { ...s.place, customerPhone: '01632 960 118', customerEmail: 'yarwood@customer.example' };
        },
      },
    ],
    sent: {
      askedBy: PIERS,
      replies: [
        { step: 'danger', says: { choice: 'no' } },
        { step: 'meter-position', drawings: ['meter-position'] },
        { step: 'cut-out-label', drawings: ['cut-out-80'] },
        { step: 'board', says: { words: 'The two on the right are empty, I think.' }, drawings: ['board'] },
        { step: 'parking', says: { choice: 'outdoors' }, drawings: ['charger-wall'] },
        { step: 'heating', says: { choice: 'storage', words: 'Six of them, and a fan heater in the bathroom.' } },
        { step: 'shower', says: { choice: '1' } },
        { step: 'home', says: { choice: 'parking-not-mine', words: 'The yard belongs to all four cottages.' } },
      ],
    },
  },
  begun(
    {
      line: '27 Mercer Street',
      town: 'Netherby',
      postcode: 'ZZ1 2MS',
      customer: 'C. Oldroyd',
      wanted: 'Vehicle charger, garage at the back',
      by: TOBIN,
      assignedTo: TOBIN,
      changedDaysAgo: 1,
    },
    60,
  ),
  begun(
    {
      line: '2 Beacon Rise',
      town: 'Church End',
      postcode: 'ZZ2 8BR',
      customer: 'K. Lathom',
      wanted: 'Vehicle charger, and solar panels there',
      by: ISLA,
      assignedTo: ISLA,
      changedDaysAgo: 3,
      days: [{ kind: 'survey-booked', inDays: 4, by: ISLA }],
    },
    100,
  ),
  settled(
    {
      line: 'The Old Dairy',
      town: 'Cross Lane',
      postcode: 'ZZ4 3OD',
      customer: 'G. Lumby',
      wanted: 'Charger in the garage, more power later',
      assignedTo: ISLA,
      changedDaysAgo: 1,
    },
    garageInSteps,
    { nodeId: 'garage', limiter: {} },
  ),
  settled({
    line: '18 Orchard Garth',
    town: 'Fennelby',
    postcode: 'ZZ9 1OG',
    customer: 'D. Pickersgill',
    wanted: 'Vehicle charger on the drive',
    assignedTo: TOBIN,
    changedDaysAgo: 2,
    quoted: { by: PIERS, answer: 'accepted' },
    days: [{ kind: 'fitting-booked', inDays: 5, by: PIERS }],
  }),
  settled(
    {
      line: '6 Chandler’s Way',
      town: 'Netherby',
      postcode: 'ZZ1 9CW',
      customer: 'M. Thwaite',
      wanted: 'Vehicle charger and a larger fuse',
      assignedTo: TOBIN,
      changedDaysAgo: 1,
      quoted: { by: PIERS, question: 'Can the cable go behind the hedge instead of along the wall?' },
    },
    strongerFuse,
  ),
  settled(
    {
      line: '31 Smithy Fold',
      town: 'Church End',
      postcode: 'ZZ2 5SF',
      customer: 'E. Kettlewell',
      wanted: 'Vehicle charger and a larger fuse',
      assignedTo: MAREN,
      changedDaysAgo: 5,
      days: [{ kind: 'sent', inDays: -5, by: PIERS, details: { reference: 'WW-40117' } }],
    },
    strongerFuse,
  ),
  settled(
    {
      line: '9 Tenter Croft',
      town: 'Fennelby',
      postcode: 'ZZ9 7TC',
      customer: 'J. Rushworth',
      wanted: 'Vehicle charger and a larger fuse',
      assignedTo: TOBIN,
      changedDaysAgo: 30,
      days: [{ kind: 'sent', inDays: -30, by: PIERS, details: { reference: 'WW-39802' } }],
    },
    strongerFuse,
  ),
  settled(
    {
      line: '3 Drovers Yard',
      town: 'Brough Lane',
      postcode: 'ZZ4 3DY',
      customer: 'A. Hepworth',
      wanted: 'Vehicle charger, neighbour on the same service',
      assignedTo: ISLA,
      changedDaysAgo: 8,
      quoted: { by: PIERS, answer: 'declined' },
      days: [{ kind: 'sent', inDays: -14, by: PIERS, details: { reference: 'WW-40018' } }],
    },
    strongerFuse,
  ),
  settled(
    {
      line: '44 Lantern Street',
      town: 'Netherby',
      postcode: 'ZZ1 3LS',
      customer: 'V. Mallinson',
      wanted: 'Vehicle charger and a larger fuse',
      assignedTo: TOBIN,
      changedDaysAgo: 1,
      days: [
        { kind: 'sent', inDays: -16, by: PIERS, details: { reference: 'WW-40006' } },
        { kind: 'answered', inDays: -2, by: PIERS, details: { answer: 'accepted', reference: 'WW-40006' } },
        { kind: 'fitting-booked', inDays: 2, by: PIERS },
      ],
    },
    strongerFuse,
  ),
  settled(
    {
      line: 'Wheelhouse, Low Weir',
      town: 'Ossett Fen',
      postcode: 'ZZ3 1WH',
      customer: 'T. Garside',
      wanted: 'Vehicle charger and a larger fuse',
      assignedTo: MAREN,
      changedDaysAgo: 4,
      days: [
        { kind: 'sent', inDays: -24, by: PIERS, details: { reference: 'WW-39877' } },
        { kind: 'answered', inDays: -6, by: PIERS, details: { answer: 'refused', reference: 'WW-39877' } },
      ],
    },
    strongerFuse,
  ),
  settled(
    {
      line: '15 Hemp Lane',
      town: 'Fennelby',
      postcode: 'ZZ9 5HL',
      customer: 'L. Sugden',
      wanted: 'Vehicle charger and a larger fuse',
      assignedTo: ISLA,
      changedDaysAgo: 3,
      days: [
        { kind: 'sent', inDays: -20, by: PIERS, details: { reference: 'WW-39940' } },
        {
          kind: 'answered',
          inDays: -3,
          by: PIERS,
          details: { answer: 'accepted-if', condition: 'fuse-visit', reference: 'WW-39940' },
        },
      ],
    },
    strongerFuse,
  ),
  settled({
    line: '8 Almoner’s Court',
    town: 'Church End',
    postcode: 'ZZ2 2AC',
    customer: 'N. Brearley',
    wanted: 'Vehicle charger on the drive',
    assignedTo: TOBIN,
    changedDaysAgo: 6,
    quoted: {
      by: PIERS,
      answer: 'accepted',
      took: { 'run-cable': 1.3, dig: 1.6, 'fit-equipment': 0.9, test: 1 },
      cable: 1.1,
    },
    days: [{ kind: 'commissioned', inDays: -6, by: TOBIN }],
  }),
  settled({
    line: '51 Kiln Bank',
    town: 'Netherby',
    postcode: 'ZZ1 8KB',
    customer: 'W. Ackroyd',
    wanted: 'Vehicle charger on the drive',
    assignedTo: ISLA,
    changedDaysAgo: 35,
    quoted: {
      by: PIERS,
      answer: 'accepted',
      took: { 'run-cable': 1.1, dig: 1.4, 'fit-equipment': 1, test: 1.2 },
      cable: 1.2,
    },
    days: [{ kind: 'commissioned', inDays: -35, by: ISLA }],
  }),
  settled({
    line: '7 Fuller’s Green',
    town: 'Fennelby',
    postcode: 'ZZ9 3FG',
    customer: 'O. Haigh',
    wanted: 'Vehicle charger on the drive',
    assignedTo: TOBIN,
    changedDaysAgo: 20,
    quoted: {
      by: PIERS,
      answer: 'accepted',
      took: { 'run-cable': 1.5, dig: 1.5, 'fit-equipment': 1.1, test: 1 },
      cable: 1.1,
    },
    days: [
      { kind: 'commissioned', inDays: -27, by: TOBIN },
      { kind: 'notice-sent', inDays: -20, by: PIERS },
    ],
  }),
  settled({
    line: '22 Marl Pits',
    town: 'Brough Lane',
    postcode: 'ZZ4 6MP',
    customer: 'F. Shackleton',
    wanted: 'Vehicle charger on the drive',
    assignedTo: TOBIN,
    changedDaysAgo: 45,
    quoted: {
      by: PIERS,
      answer: 'accepted',
      took: { 'run-cable': 1.2, dig: 1.9, 'fit-equipment': 0.8, test: 0.9 },
      cable: 1.05,
    },
    days: [
      { kind: 'commissioned', inDays: -60, by: TOBIN },
      { kind: 'notice-sent', inDays: -52, by: PIERS },
      { kind: 'closed', inDays: -45, by: PIERS, details: { note: 'Certificate and manuals handed over; paid.' } },
    ],
  }),
];
