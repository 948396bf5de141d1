import { assumedLoad } from '../survey/assumed';
import type { Load } from '../survey/load';
import { meterPoint } from '../route/meter-point';
import type { PhotoSubject } from '../survey/photo';
import type { Survey } from '../survey/survey';
import { CLASS_NAMES } from '../demand/maximum-demand';
import { saysWords, type CustomerSays } from './answer';
import { customerStep, type CustomerStep, type CustomerStepId } from './steps';

/** A customer’s answer as it came. */
export interface CustomerAnswer {
  readonly id: string;
  readonly step: Pick<CustomerStep, 'id' | 'ask' | 'choices'>;
  readonly says: CustomerSays;
  readonly pictures: number;
  /** ISO date and time. */
  readonly at: string;
}

/** What taking an answer changes in the survey, in words; none, and it stands as a statement alone. */
export interface Effect {
  readonly says: string;
  readonly change: (survey: Survey) => Survey;
}

type Effects = (survey: Survey, says: CustomerSays, id: string) => readonly Effect[];

const addLoad = (survey: Survey, load: Load): readonly Effect[] =>
  // What a surveyor has listed is not added to by what somebody remembers.
  survey.loads.some((each) => each.class === load.class)
    ? []
    : [
        {
          says: `Adds a load, assumed until confirmed: ${load.label ?? CLASS_NAMES[load.class]}${load.powerW === undefined ? ', power not known' : ` ${load.powerW / 1000} kW`}${(load.quantity ?? 1) > 1 ? `, ${load.quantity ?? 1} of them` : ''}.`,
          change: (s) => ({ ...s, loads: [...s.loads, assumedLoad(load)] }),
        },
      ];

const EFFECTS: Readonly<Partial<Record<CustomerStepId, Effects>>> = {
  danger: (survey, { choice, words }, id) =>
    choice === 'yes' && !survey.intake.faults.some((fault) => fault.id === id)
      ? [
          {
            says: 'Records a fault at the intake, not yet graded: no load is added until you have looked.',
            change: (s) => ({
              ...s,
              intake: {
                ...s.intake,
                look: 'not-fine',
                faults: [
                  ...s.intake.faults,
                  {
                    id,
                    fault: 'heat-damage',
                    note: `The customer says so${words?.trim() ? `: ${words.trim()}` : '.'}`.slice(0, 500),
                  },
                ],
              },
            }),
          },
        ]
      : [],
  heating: (survey, { choice }, id) => {
    switch (choice) {
      case 'heat-pump':
        return addLoad(survey, { id, class: 'heat-pump', label: 'Heat pump' });
      case 'storage':
        return addLoad(survey, { id, class: 'storage-heating', label: 'Storage heaters', season: 'heating' });
      case 'electric':
        return addLoad(survey, { id, class: 'heating-and-power', label: 'Electric heaters', season: 'heating' });
      default:
        return [];
    }
  },
  shower: (survey, { choice }, id) =>
    choice === '1' || choice === '2'
      ? addLoad(survey, {
          id,
          class: 'instantaneous-water-heating',
          label: 'Electric shower',
          powerW: 9500,
          ...(choice === '2' ? { quantity: 2 } : {}),
        })
      : [],
  cooking: (survey, { choice }, id) => {
    switch (choice) {
      case 'electric':
        return addLoad(survey, { id, class: 'cooking', label: 'Electric cooker', powerW: 7000 });
      case 'electric-oven':
        return addLoad(survey, { id, class: 'cooking', label: 'Electric oven', powerW: 3000 });
      default:
        return [];
    }
  },
  generation: (survey, { choice }, id) => {
    if (survey.generation !== undefined) return [];
    if (choice === 'no')
      return [{ says: 'Records that there is no generation.', change: (s) => ({ ...s, generation: [] }) }];
    const kinds = { solar: ['pv'], battery: ['battery'], both: ['pv', 'battery'] } as const;
    if (choice !== 'solar' && choice !== 'battery' && choice !== 'both') return [];
    return [
      {
        says: 'Records the generation, its rating still to be found out.',
        change: (s) => ({
          ...s,
          generation: kinds[choice].map((kind, at) => ({ id: at === 0 ? id : `${id}-${at + 1}`, kind })),
        }),
      },
    ];
  },
  parking: (survey, { choice }) => {
    if (choice !== 'outdoors' && choice !== 'indoors-only') return [];
    const open = survey.proposals.filter(({ kind, parking }) => kind === 'vehicle-charger' && parking === undefined);
    if (open.length === 0) return [];
    return [
      {
        says: choice === 'outdoors' ? 'Vehicles charge outdoors.' : 'Vehicles charge indoors only.',
        change: (s) => ({
          ...s,
          proposals: s.proposals.map((each) =>
            open.some(({ id }) => id === each.id) ? { ...each, parking: choice } : each,
          ),
        }),
      },
    ];
  },
  bill: (survey, { number }) => {
    const read = meterPoint(number);
    if (read.state !== 'good' || meterPoint(survey.place.meterPointNumber).state === 'good') return [];
    return [
      {
        says: `Meter point number ${read.core}; its check digit fits.`,
        change: (s) => ({ ...s, place: { ...s.place, meterPointNumber: read.core } }),
      },
    ];
  },
};

/** What an answer would change in a survey besides standing in it as a statement. */
export function effectsOf(survey: Survey, { id, step, says }: CustomerAnswer): readonly Effect[] {
  const own = customerStep(step.id);
  return own ? (EFFECTS[own.id]?.(survey, says, id) ?? []) : [];
}

/** The survey with an answer taken in: what it changes, and the statement that says whose word it is. Taken twice it is taken once. */
export function takeAnswer(survey: Survey, answer: CustomerAnswer, by: string, at: string): Survey {
  const { id, step, says, pictures } = answer;
  const statements = survey.statements ?? [];
  if (statements.some((each) => each.id === id)) return survey;
  const changed = effectsOf(survey, answer).reduce((now, { change }) => change(now), survey);
  return {
    ...changed,
    statements: [
      ...statements,
      {
        id,
        asked: step.ask.slice(0, 300),
        says: saysWords(step, says, pictures).slice(0, 1000) || 'Nothing said',
        saidAt: answer.at,
        takenBy: by,
        takenAt: at,
      },
    ],
  };
}

/** What the pictures of a step show, as far as the survey has such a part. */
export function subjectOf(
  survey: Survey,
  stepId: string,
): { readonly subject: PhotoSubject; readonly subjectId?: string } {
  const node = (kind: string) => {
    const found = survey.supply.nodes.find((each) => each.kind === kind);
    return found ? ({ subject: 'node', subjectId: found.id } as const) : ({ subject: 'place' } as const);
  };
  switch (stepId) {
    case 'cut-out':
    case 'cut-out-label':
    case 'meter-position':
      return node('cut-out');
    case 'meter':
      return node('meter');
    case 'board':
      return node('board');
    case 'earth-wire':
    case 'gas-and-water':
      return { subject: 'earthing' };
    case 'way':
    case 'parking': {
      const [proposal] = survey.proposals;
      return proposal ? { subject: 'proposal', subjectId: proposal.id } : { subject: 'place' };
    }
    default:
      return { subject: 'place' };
  }
}
