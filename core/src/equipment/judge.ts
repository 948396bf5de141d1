/** The firm’s equipment held against what one site and its customer need, row by row. */
import { assess, decide } from '../assess';
import type { Assessment } from '../assessment';
import { signalVerdict } from '../circuit/data-link';
import { linesAt } from '../circuit/circuit-facts';
import type { EquipmentProfile } from '../firm/equipment';
import { withProfile } from '../firm/equipment';
import { fits } from '../options/fits';
import { fixedLimit, managed } from '../options/limits';
import type { Draft } from '../options/draft';
import type { Rules } from '../rules/rules';
import { exceeds } from '../worked';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { Answer } from '../survey/words/words';
import { LOCK_NAMES, OUTLET_NAMES, SURFACE_NAMES, TALK_NAMES, type Talk } from '../survey/words/works-words';
import { supplyTree } from '../tree/supply-tree';
import { nodeOf } from '../tree/sets-below';
import { supplyPhases } from '../demand/connected';
import { worstOf, type EquipmentRow, type EquipmentRowId, type EquipmentVerdictWord } from './verdict';

/** One profile against one site. */
export interface EquipmentVerdict {
  readonly profileId: string;
  readonly name: string;
  readonly verdict: EquipmentVerdictWord;
  readonly rows: readonly EquipmentRow[];
  /** The way of running it that its rate rests on: at full rate, held, or managed. */
  readonly way: 'full-rate' | 'fixed-limit' | 'managed' | null;
}

/** A mobile network weaker than this at the place does not carry equipment’s own SIM. Source: house rule. */
export const LEAST_MOBILE_DBM = -105;

interface Facts {
  readonly profile: EquipmentProfile;
  readonly proposal: Proposal;
  readonly survey: Survey;
  readonly rules: Rules;
  readonly assessment: Assessment;
  readonly way: Way;
}
interface Way {
  readonly kind: EquipmentVerdict['way'];
  readonly answer: boolean | null;
  readonly says: string;
}

/** Every profile that is offered, held against the site for one piece of new equipment; those that fit first. */
export function judgeEquipment(
  survey: Survey,
  proposalId: string,
  profiles: readonly EquipmentProfile[],
  rules: Rules,
): EquipmentVerdict[] {
  const proposal = survey.proposals.find(({ id }) => id === proposalId);
  if (!proposal) return [];
  const order: Readonly<Record<EquipmentVerdictWord, number>> = {
    fits: 0,
    'with-addition': 1,
    'not-known': 2,
    'does-not-fit': 3,
  };
  return profiles
    .filter(({ retired }) => !retired)
    .map((profile) => judgeProfile(survey, proposal, profile, rules))
    .sort((a, b) => order[a.verdict] - order[b.verdict]);
}

/** One profile held against the site. */
export function judgeProfile(
  survey: Survey,
  proposal: Proposal,
  profile: EquipmentProfile,
  rules: Rules,
): EquipmentVerdict {
  const filled: Survey = {
    ...survey,
    proposals: survey.proposals.map((each) => (each.id === proposal.id ? bare(withProfile(each, profile)) : each)),
  };
  const assessment = assess(filled, rules);
  const way = wayOf(filled, profile, rules);
  const facts: Facts = { profile, proposal, survey: filled, rules, assessment, way };
  const rows = ROWS.flatMap((make) => make(facts) ?? []);
  return { profileId: profile.id, name: profile.name, verdict: worstOf(rows), rows, way: way.kind };
}

/** As it would be fitted: the limit it has now was another’s. */
function bare(proposal: Proposal): Proposal {
  return { ...proposal, limiter: { kind: 'none' } };
}

/** The first way of running it that fits: at full rate, held to a setting it has, or managed. */
function wayOf(survey: Survey, profile: EquipmentProfile, rules: Rules): Way {
  if (profile.ratedA === undefined) return { kind: null, answer: null, says: 'Its rated current is not recorded.' };
  const full = fits(decide(survey, rules));
  if (full.answer === true) return { kind: 'full-rate', answer: true, says: `${profile.ratedA} A, with no limit.` };
  const limited: readonly (Draft | null)[] = [
    fixedLimit(survey, rules),
    profile.clamps?.length === 0 ? null : managed(survey, rules),
  ];
  const judged = limited.flatMap((draft) => (draft ? [{ draft, fit: fits(decide(draft.survey, rules)) }] : []));
  const holds = judged.find(({ draft, fit }) => fit.answer === true && draft.open === undefined);
  if (holds)
    return {
      kind: holds.draft.kind === 'managed' ? 'managed' : 'fixed-limit',
      answer: true,
      says: `${holds.draft.title}.`,
    };
  const open = full.answer === null ? full : judged.find(({ fit }) => fit.answer === null)?.fit;
  return open ? { kind: null, answer: null, says: open.why } : { kind: null, answer: false, says: full.why };
}

type Rule = (facts: Facts) => EquipmentRow | null;

function row(
  id: EquipmentRowId,
  verdict: EquipmentVerdictWord,
  says: string,
  adds: EquipmentRow['adds'] = [],
): EquipmentRow {
  return { id, verdict, says, adds };
}

/** A wish and what the equipment does about it: what nobody asked is not known, and what nobody wants fits. */
function wish(
  id: EquipmentRowId,
  wanted: Answer | undefined,
  has: Answer | undefined,
  words: { readonly asked: string; readonly unwanted: string; readonly yes: string; readonly no: string },
  otherwise: Pick<EquipmentRow, 'verdict' | 'adds'> = { verdict: 'does-not-fit', adds: [] },
): EquipmentRow {
  if (wanted === 'no') return row(id, 'fits', words.unwanted);
  if (has === 'yes') return row(id, 'fits', words.yes);
  if (wanted !== 'yes') return row(id, 'not-known', `Ask: ${words.asked}`);
  if (has === undefined || has === 'unknown') return row(id, 'not-known', 'The profile does not say.');
  return row(id, otherwise.verdict, words.no, otherwise.adds);
}

const ROWS: readonly Rule[] = [
  ({ profile, survey, proposal }) => {
    const tree = supplyTree(survey);
    const facts = { phases: supplyPhases(survey.supply.phases) } as Parameters<typeof linesAt>[1];
    const lines = linesAt(nodeOf(tree, proposal.nodeId), facts);
    if (profile.phases === undefined)
      return row('phases', 'not-known', 'The profile does not say how many phases it takes.');
    if (profile.phases === 1) return row('phases', 'fits', 'Single-phase.');
    if (survey.supply.phases === undefined)
      return row('phases', 'not-known', 'How many phases the supply has is not recorded.');
    return lines === 3
      ? row('phases', 'fits', 'Three-phase, as the supply is.')
      : row('phases', 'does-not-fit', 'Three-phase equipment, and one phase where it hangs.');
  },
  ({ way, profile }) => {
    if (way.answer === false) return row('rate', 'does-not-fit', way.says);
    if (way.answer === null) return row('rate', 'not-known', way.says);
    if (way.kind === 'managed' && profile.clampIncluded !== 'yes')
      return row('rate', 'with-addition', way.says, ['clamp-ct']);
    return row('rate', way.kind === 'full-rate' ? 'fits' : 'with-addition', way.says);
  },
  ({ way, profile, proposal, rules }) => {
    if (way.kind !== 'managed') return null;
    const { dataLink } = proposal;
    const links = profile.clamps;
    if (links === undefined) return row('clamp', 'not-known', 'The profile does not say how its clamp is joined.');
    const wired = links.includes('wired');
    const lengthM = dataLink?.lengthM;
    if (wired && lengthM !== undefined && !exceeds(lengthM, profile.clampReachM ?? lengthM, 'm'))
      return row('clamp', 'fits', `Wired, ${lengthM} m of lead.`);
    if (links.includes('wireless') && dataLink?.signalDbm !== undefined) {
      const signal = signalVerdict(dataLink.signalDbm, rules);
      return row(
        'clamp',
        signal === 'good' ? 'fits' : signal === 'to-try' ? 'not-known' : 'does-not-fit',
        `Wireless, ${dataLink.signalDbm} dBm at the place: ${signal === 'good' ? 'good' : signal === 'to-try' ? 'to be tried' : 'too weak'}.`,
      );
    }
    if (wired && lengthM !== undefined)
      return row('clamp', 'does-not-fit', `A lead of ${lengthM} m, ${profile.clampReachM ?? '?'} m at most.`);
    return row(
      'clamp',
      'not-known',
      wired ? 'How long the clamp’s lead has to be is not recorded.' : 'The signal at the place is not recorded.',
    );
  },
  ({ profile, assessment, proposal }) => {
    const open = assessment.earthing.openPen.find(({ proposalId }) => proposalId === proposal.id);
    if (!open) return null;
    if (open.need === 'not-needed') return row('open-pen', 'fits', `Not needed: ${open.why}.`);
    const builtIn =
      profile.penDetection === undefined ? undefined : open.ways.find(({ method }) => method === 'built-in');
    if (builtIn?.state === 'suits') return row('open-pen', 'fits', 'Detection is built in.');
    if (builtIn && builtIn.state !== 'does-not')
      return row('open-pen', 'not-known', `Built in, and not shown yet to do here: ${builtIn.reasons[0] ?? ''}`);
    if (open.need === 'not-known')
      return row('open-pen', 'not-known', `Whether it is needed is not known: ${open.why}.`);
    return row(
      'open-pen',
      'with-addition',
      builtIn
        ? `A device of its own: ${builtIn.reasons[0] ?? ''}`
        : 'A device of its own, since it has no detection built in.',
      ['open-pen-device'],
    );
  },
  ({ profile }) =>
    profile.rcdType === undefined
      ? row('rcd', 'with-addition', 'An RCD at the board, since it has none built in.')
      : row('rcd', 'fits', `RCD type ${profile.rcdType} built in.`),
  ({ profile }) => {
    if (profile.dcDetection === 'yes' || profile.rcdType === 'B')
      return row('direct-current', 'fits', '6 mA of direct current is detected.');
    return profile.dcDetection === 'no'
      ? row('direct-current', 'with-addition', 'An RCD of type B, since it does not detect 6 mA of direct current.')
      : row('direct-current', 'not-known', 'The profile does not say whether it detects 6 mA of direct current.');
  },
  network,
  ({ profile, proposal: { needs } }) => {
    if (needs?.outlet === undefined) return row('outlet', 'not-known', 'Ask: a lead on it, or a socket?');
    if (profile.outlet === undefined) return row('outlet', 'not-known', 'The profile does not say: lead or socket.');
    return profile.outlet === needs.outlet
      ? row('outlet', 'fits', `${OUTLET_NAMES[profile.outlet]}, as wished.`)
      : row(
          'outlet',
          'does-not-fit',
          `${OUTLET_NAMES[profile.outlet]}, and a ${OUTLET_NAMES[needs.outlet].toLowerCase()} is wished.`,
        );
  },
  ({ profile, proposal: { position } }) => {
    if (profile.outlet !== 'tethered') return null;
    const { toInletM } = position ?? {};
    if (toInletM === undefined) return row('reach', 'not-known', 'How far the vehicle’s inlet is, is not recorded.');
    if (profile.leadM === undefined) return row('reach', 'not-known', 'The profile does not say how long its lead is.');
    return exceeds(toInletM, profile.leadM, 'm')
      ? row('reach', 'does-not-fit', `The inlet is ${toInletM} m away, its lead ${profile.leadM} m long.`)
      : row('reach', 'fits', `Its lead of ${profile.leadM} m reaches ${toInletM} m.`);
  },
  ({ profile, proposal: { needs } }) => {
    if (needs?.publicReach === 'no') return row('access', 'fits', 'Strangers do not reach the bay.');
    const has = (profile.locks ?? []).filter((each) => each !== 'none');
    const wanted = needs?.lock === undefined || needs.lock === 'none' ? [] : [needs.lock];
    const names = has.map((each) => LOCK_NAMES[each].toLowerCase()).join(', ');
    if (has.length > 0 && wanted.every((each) => has.includes(each)))
      return row('access', 'fits', `Kept from strangers: ${names}.`);
    if (needs?.publicReach !== 'yes') return row('access', 'not-known', 'Ask: can strangers reach the bay?');
    return profile.locks === undefined
      ? row('access', 'not-known', 'The profile does not say how strangers are kept off.')
      : row('access', 'with-addition', 'A lock or card reader, since strangers reach the bay.', ['lock-kit']);
  },
  ({ profile, proposal: { needs } }) =>
    wish(
      'billing',
      needs?.billing,
      profile.metersForBilling,
      {
        asked: 'is what is charged billed, or claimed back?',
        unwanted: 'Nothing is billed.',
        yes: 'Its meter does for billing.',
        no: 'A meter of its own, since its own does not do for billing.',
      },
      { verdict: 'with-addition', adds: ['energy-meter'] },
    ),
  ({ profile, proposal: { needs } }) => {
    if (needs?.tariff === undefined) return row('tariff', 'not-known', 'Ask: who times the charging by the tariff?');
    if (needs.tariff !== 'charger')
      return row('tariff', 'fits', needs.tariff === 'vehicle' ? 'The vehicle times it.' : 'Nobody needs to time it.');
    if (profile.timesByTariff === 'yes') return row('tariff', 'fits', 'It times charging itself.');
    return profile.timesByTariff === 'no'
      ? row('tariff', 'does-not-fit', 'It does not time charging, and is to.')
      : row('tariff', 'not-known', 'The profile does not say whether it times charging.');
  },
  ({ profile, proposal: { needs } }) =>
    wish('generation', needs?.followsGeneration, profile.followsGeneration, {
      asked: 'is it to charge by what is generated?',
      unwanted: 'It need not follow generation.',
      yes: 'It can follow generation.',
      no: 'It cannot follow generation, and is to.',
    }),
  ({ profile, proposal: { needs } }) => {
    if (needs?.onPost) {
      if (profile.mayStandOnPost === 'yes') return row('surface', 'with-addition', 'On a post.', ['post']);
      return row(
        'surface',
        profile.mayStandOnPost === 'no' ? 'does-not-fit' : 'not-known',
        profile.mayStandOnPost === 'no'
          ? 'Its maker has no post for it.'
          : 'The profile does not say whether it may stand on a post.',
      );
    }
    if (needs?.hangsOn === undefined) return row('surface', 'not-known', 'What it hangs on is not recorded.');
    if (profile.fixesTo === undefined || profile.fixesTo.length === 0)
      return row('surface', 'not-known', 'The profile does not say what it may be fixed to.');
    const name = SURFACE_NAMES[needs.hangsOn].toLowerCase();
    return profile.fixesTo.includes(needs.hangsOn)
      ? row('surface', 'fits', `May be fixed to ${name}.`)
      : row('surface', 'does-not-fit', `May not be fixed to ${name}.`);
  },
  ({ profile, proposal: { needs } }) =>
    wish('sun', needs?.inSun, profile.mayHangInSun, {
      asked: 'does the sun stand on its place?',
      unwanted: 'Its place is in the shade.',
      yes: 'It may hang in the sun.',
      no: 'It may not hang in the sun, and would.',
    }),
  ({ profile, proposal: { needs, parking } }) =>
    wish('weather', needs?.inWeather ?? (parking === 'indoors-only' ? 'no' : undefined), profile.mayHangInWeather, {
      asked: 'does it hang in the weather?',
      unwanted: 'Its place is dry.',
      yes: 'It may hang outdoors.',
      no: 'It may not hang outdoors, and would.',
    }),
  ({ profile, proposal: { position } }) => {
    const { leastHeightM, mostHeightM } = profile;
    if (leastHeightM === undefined && mostHeightM === undefined) return null;
    const { heightM } = position ?? {};
    if (heightM === undefined) return row('height', 'not-known', 'How high it is to hang is not recorded.');
    const wrong = heightM < (leastHeightM ?? 0) || heightM > (mostHeightM ?? Infinity);
    return row(
      'height',
      wrong ? 'does-not-fit' : 'fits',
      `${heightM} m; its maker says ${leastHeightM ?? 0} to ${mostHeightM ?? '…'} m.`,
    );
  },
  ({ profile, proposal: { needs } }) =>
    wish('both-directions', needs?.bothDirections, profile.canExport, {
      asked: 'is it to give power back?',
      unwanted: 'It need not give power back.',
      yes: 'It works in both directions.',
      no: 'It works in one direction only.',
    }),
];

/** Whether one of its ways of talking reaches the network at the place. */
function network({ profile, proposal, rules }: Facts): EquipmentRow {
  const { talks } = profile;
  const { needs, dataLink } = proposal;
  if (talks === undefined) return row('network', 'not-known', 'The profile does not say how it talks to the network.');
  if (talks.length === 0) return row('network', 'fits', 'It needs no network.');
  const found = talks.map((talk) => ({ talk, ...reaches(talk) }));
  const best = found.find(({ answer }) => answer === true) ?? found.find(({ answer }) => answer === null) ?? found[0];
  const says = best ? `${TALK_NAMES[best.talk]}: ${best.says}` : '';
  if (best?.answer === true)
    return row(
      'network',
      best.talk === 'wired' ? 'with-addition' : 'fits',
      says,
      best.talk === 'wired' ? ['data-cable'] : [],
    );
  if (best?.answer === null) return row('network', 'not-known', says);
  return row('network', 'does-not-fit', 'None of its ways of talking reaches the network there.');

  function reaches(talk: Talk): { readonly answer: boolean | null; readonly says: string } {
    if (talk === 'wireless') {
      const signal = dataLink?.signalDbm;
      if (signal === undefined) return { answer: null, says: 'the signal at the place is not recorded.' };
      const verdict = signalVerdict(signal, rules);
      return {
        answer: verdict === 'good' ? true : verdict === 'to-try' ? null : false,
        says: `${signal} dBm at the place.`,
      };
    }
    if (talk === 'wired')
      return needs?.networkCable === 'yes'
        ? { answer: true, says: 'a cable can be run there.' }
        : {
            answer: needs?.networkCable === 'no' ? false : null,
            says: 'whether a cable can be run there is not recorded.',
          };
    const mobile = needs?.mobileDbm;
    return mobile === undefined
      ? { answer: null, says: 'the mobile network at the place is not recorded.' }
      : { answer: mobile >= LEAST_MOBILE_DBM, says: `${mobile} dBm at the place.` };
  }
}
