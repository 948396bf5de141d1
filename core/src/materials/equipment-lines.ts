/** What one piece of new equipment takes besides its cable: itself, its device and board, protection, limiter, data. */
import { circuitStart } from '../circuit/charger-circuit';
import { coresNeeded, reuses } from '../circuit/reuse';
import { ownDevice } from '../circuit/own-device';
import type { CircuitAssessment } from '../circuit/charger-circuit';
import { clampsOf } from '../management/limiter';
import type { Proposal } from '../survey/proposal';
import { equipmentInText, equipmentName, isCharger } from '../survey/words/kinds';
import type { SupplyTree } from '../tree/supply-tree';
import { deviceItem, deviceWords, equipmentItem, PLAIN_ITEMS, type PlainItem } from './items';
import { lineId, type Line } from './line';
import { runLines, type RunStretch, type RunTerms } from './run';
import { CLAMP_LEAD_M, ELECTRODE_LEAD_M } from './usual';

/** Everything the lines of equipment are read off. */
export interface EquipmentFacts {
  readonly tree: SupplyTree;
  /** Lines the supply has where the equipment hangs. */
  readonly circuit: CircuitAssessment | undefined;
  readonly terms: RunTerms;
}

export function equipmentLines(proposal: Proposal, facts: EquipmentFacts): Line[] {
  const { id } = proposal;
  const name = equipmentName(proposal);
  const inText = equipmentInText(proposal);
  const at = (station: 'charger' | 'circuit' | 'limit' | 'earthing', says: string): Line['from'] => ({
    station,
    subjectId: id,
    says: `${name}: ${says}`,
  });
  const piece = (item: PlainItem, from: Line['from'], more: Partial<Line> = {}): Line =>
    ({
      id: lineId(id, item),
      kind: 'material',
      item,
      text: PLAIN_ITEMS[item],
      unit: item === 'data-cable' || item.startsWith('earth-conductor') ? 'm' : 'each',
      quantity: 1,
      from,
      ...more,
    }) as Line;
  const work = (role: string, line: Omit<Extract<Line, { kind: 'work' }>, 'id' | 'kind'>): Line => ({
    id: lineId(id, role),
    kind: 'work',
    ...line,
  });
  return [...itself(), ...circuitLines(), ...protection(), ...limiter(), ...data()];

  function itself(): Line[] {
    const from = at('charger', 'as chosen');
    const fit = work('fit', { task: 'fit-equipment', text: `Fit ${inText}`, quantity: 1, from });
    if (!isCharger(proposal))
      return [{ ...fit, assumes: `${name} itself is supplied and set up by others; this is its supply only.` }];
    const { profileId, profile, makeAndModel, needs } = proposal;
    return [
      {
        id: lineId(id, 'equipment'),
        kind: 'material',
        item: profileId === undefined ? null : equipmentItem(profileId),
        text: makeAndModel ?? profile ?? name,
        unit: 'each',
        quantity: 1,
        from,
        ...(profileId === undefined
          ? { gap: `which equipment is fitted as ${inText} is not chosen from the list` }
          : {}),
      },
      piece('fixings-set', from),
      ...(needs?.onPost ? [piece('post', at('charger', 'on a post of its own'))] : []),
      fit,
    ];
  }

  function circuitLines(): Line[] {
    const { circuit } = facts;
    const from = at('circuit', 'its circuit');
    const tested = work('test', { task: 'test', text: 'Inspect and test', quantity: 1, from });
    if (reuses(proposal)) {
      const used = { ...from, says: `${name}: the old circuit, used again` };
      return [
        work('terminate', { task: 'terminate', text: 'Terminate the old cable', quantity: 1, from: used }),
        tested,
      ];
    }
    const old = ownDevice(proposal, facts.tree);
    if (old && old.node.planned !== true && (proposal.circuit?.segments ?? []).length === 0)
      return [
        {
          id: lineId(id, 'circuit'),
          kind: 'material',
          item: null,
          text: `Circuit of ${inText}`,
          unit: 'each',
          quantity: null,
          gap: `whether the circuit ${inText} hangs from is used again or laid anew is not recorded`,
          from,
        },
        tested,
      ];
    const { circuit: own } = circuitStart(proposal, facts);
    const phases = proposal.phases ?? 1;
    const chosen = own.sizeMm2 ?? null;
    const found = circuit?.search?.smallestMm2 ?? null;
    const stretches: readonly RunStretch[] = proposal.circuit?.segments ?? [];
    return [
      ...device(
        own.deviceRatingA ?? circuit?.device.ratingA ?? null,
        phases,
        own.curve,
        own.deviceRatingA === undefined,
      ),
      ...runLines(
        {
          subjectId: id,
          station: 'circuit',
          name: `the circuit of ${inText}`,
          type: own.cableType,
          cores: own.cableType === 'flat-twin' ? 3 : coresNeeded(phases, own.cpc),
          sizeMm2: chosen ?? found,
          sizeTaken: chosen === null && found !== null,
          stretches,
        },
        facts.terms,
      ),
      tested,
    ];
  }

  function device(ratingA: number | null, phases: 1 | 3, curve: 'B' | 'C' | 'D' | undefined, isTaken: boolean): Line[] {
    const { rcd, way } = proposal;
    const from = at('circuit', 'its device');
    const atBoard = rcd?.place === 'at-board';
    // An RCBO is single-phase; three lines take an RCD of their own beside the device.
    const rcboType = atBoard && phases === 1 ? (rcd.rcdType ?? 'A') : null;
    const taken = curve ?? 'B';
    const shares = way?.plan === 'share-ways';
    return [
      {
        id: lineId(id, 'device'),
        kind: 'material',
        item: ratingA === null ? null : deviceItem(taken, ratingA, phases, rcboType),
        text: ratingA === null ? 'Circuit device' : deviceWords(taken, ratingA, phases, rcboType),
        unit: 'each',
        quantity: 1,
        from,
        ...(ratingA === null ? { gap: `the device of ${inText} is not known` } : {}),
        ...(ratingA !== null && (isTaken || curve === undefined)
          ? { assumes: `The device of ${inText} is ${taken}${ratingA}, the usual one for it.` }
          : {}),
      },
      ...(atBoard && phases === 3 ? [piece('rcd-4p-63-b', from)] : []),
      work('device-work', {
        task: 'fit-device',
        text: 'Fit a circuit device',
        quantity: (atBoard && phases === 3 ? 2 : 1) + (shares ? 1 : 0),
        from: shares ? at('circuit', 'its device, on a way freed by two circuits sharing one') : from,
      }),
    ];
  }

  function protection(): Line[] {
    const { surge, openPen, rcd } = proposal;
    const lines: Line[] = [];
    if (surge?.decision === 'fit')
      lines.push(
        piece('surge-device', at('circuit', 'surge protection')),
        work('surge', {
          task: 'fit-surge',
          text: 'Fit surge protection',
          quantity: 1,
          from: at('circuit', 'surge protection'),
        }),
      );
    const from = at('earthing', 'open-PEN protection');
    if (openPen === 'separate-device')
      lines.push(
        piece('open-pen-device', from),
        work('open-pen', { task: 'fit-device', text: 'Fit an open-PEN device', quantity: 1, from }),
      );
    if (openPen === 'tt-island' || openPen === 'low-electrode')
      lines.push(
        piece('electrode-rod', from),
        piece('earth-conductor-10', from, {
          quantity: ELECTRODE_LEAD_M,
          assumes: `The electrode of ${inText} is within ${ELECTRODE_LEAD_M} m.`,
        }),
        work('electrode', { task: 'electrode', text: 'Drive and connect an electrode', quantity: 1, from }),
      );
    if (rcd?.place === undefined && isCharger(proposal))
      lines.push({
        id: lineId(id, 'rcd'),
        kind: 'material',
        item: null,
        text: `RCD of ${inText}`,
        unit: 'each',
        quantity: null,
        gap: `where the RCD of ${inText} is, built in or at the board, is not recorded`,
        from: at('circuit', 'its RCD'),
      });
    return lines;
  }

  function limiter(): Line[] {
    const {
      limiter: { kind, fit },
      dataLink,
      phases = 1,
    } = proposal;
    const from = at('limit', kind === 'fixed' ? 'its setting' : 'its clamps');
    if (kind === undefined || kind === 'none') return [];
    const commission = work('commission', { task: 'commission', text: 'Commission the limit', quantity: 1, from });
    if (kind === 'fixed') return [commission];
    const clamps = clampsOf(proposal).length;
    const lines = fit?.phase === 'all' && facts.circuit !== undefined ? phases : 1;
    const wireless = dataLink?.clamp === 'wireless';
    const lengthM = dataLink?.lengthM;
    return [
      piece('clamp-ct', from, { quantity: clamps * lines }),
      ...(wireless
        ? [piece('clamp-wireless', from, { quantity: clamps })]
        : [
            piece('data-cable', from, {
              quantity: lengthM ?? CLAMP_LEAD_M,
              ...(lengthM === undefined ? { assumes: `The clamp’s lead of ${inText} is ${CLAMP_LEAD_M} m.` } : {}),
            }),
            work('lead', {
              task: 'run-data',
              text: 'Run the clamp’s lead',
              quantity: lengthM ?? CLAMP_LEAD_M,
              from,
            }),
          ]),
      work('clamp', { task: 'fit-clamp', text: 'Fit a clamp and its lead', quantity: clamps * lines, from }),
      commission,
    ];
  }

  function data(): Line[] {
    const {
      dataLink,
      limiter: { kind },
    } = proposal;
    if (dataLink?.network !== 'wired') return [];
    const from = at('circuit', 'its network cable');
    const { lengthM } = dataLink;
    const beside = kind === 'clamp' && dataLink.clamp === 'wired';
    return [
      {
        id: lineId(id, 'network'),
        kind: 'material',
        item: 'data-cable',
        text: PLAIN_ITEMS['data-cable'],
        unit: 'm',
        quantity: lengthM ?? null,
        from,
        ...(lengthM === undefined ? { gap: `the length of the network cable of ${inText} is not recorded` } : {}),
      },
      piece('data-plug', from, { quantity: 2 }),
      // Along the clamp's lead it is laid with it.
      ...(beside || lengthM === undefined
        ? []
        : [work('network-run', { task: 'run-data', text: 'Run a network cable', quantity: lengthM, from })]),
    ];
  }
}
