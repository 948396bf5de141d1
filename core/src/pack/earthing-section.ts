import type { Assessment } from '../assessment';
import { highestElectrode, highestZe } from '../circuit/origin';
import { OPEN_PEN_NAMES, type OpenPenAssessment } from '../earthing/open-pen';
import { EARTHING_SIGN_MEANINGS } from '../earthing/signs';
import { BONDED_PART_NAMES, INCOMING_NAMES } from '../survey/words/earthing-words';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { figureText, NOT_KNOWN, row, rowOf, type Row, type Section } from './rows';

const STATES = { holds: 'Holds', fails: 'Does not hold', 'not-known': NOT_KNOWN } as const;
const COVER = { covered: 'Covered', 'not-covered': 'Not covered', 'not-known': NOT_KNOWN } as const;

/** Earth, bonding and RCD cover, as far as anything was recorded of them. */
export function earthingSection(survey: Survey, { earthing: assessed }: Assessment): Section {
  const { earthing } = survey;
  const seen = (earthing.signs ?? []).filter(({ answer }) => answer === 'yes');
  const [zeOhm, electrodeOhm] = [highestZe(survey), highestElectrode(survey)];
  const { conductor, bonding, rcdCover } = assessed;
  return {
    id: 'earthing',
    title: 'Earthing and bonding',
    rows: [
      ...(seen.length === 0
        ? []
        : [row('seen', 'Seen', seen.map(({ id }) => EARTHING_SIGN_MEANINGS[id].name).join('; '))]),
      ...(zeOhm === undefined ? [] : [row('ze-highest-reading', 'Ze, highest reading', `${zeOhm} Ω`)]),
      ...(electrodeOhm === undefined
        ? []
        : [row('electrode-highest-reading', 'Electrode, highest reading', `${electrodeOhm} Ω`)]),
      ...(conductor.recordedMm2 === null
        ? []
        : [
            row(
              'earthing-conductor',
              'Earthing conductor',
              `${conductor.recordedMm2} mm² copper`,
              `${figureText(conductor.least)} at least: ${STATES[conductor.holds === null ? 'not-known' : conductor.holds ? 'holds' : 'fails'].toLowerCase()}`,
            ),
          ]),
      ...bonding.services.map((verdict) => {
        const recorded = earthing.services?.find(({ id }) => id === verdict.id);
        const size = recorded?.bonded === 'yes' ? `bonded ${recorded.sizeMm2 ?? '?'} mm²` : '';
        const what = recorded?.incoming === undefined ? NOT_KNOWN : INCOMING_NAMES[recorded.incoming];
        return rowOf(
          'bonding',
          verdict.id,
          `Bonding: ${BONDED_PART_NAMES[verdict.id].toLowerCase()}`,
          [what, size].filter(Boolean).join(', '),
          `${STATES[verdict.state]}; ${verdict.why}`,
        );
      }),
      ...rcdCover.map(({ boardId, label, state, by }) =>
        rowOf('rcd-cover', boardId, `RCD cover: ${label}`, COVER[state], by || undefined),
      ),
    ],
  };
}

const ANSWERS = { yes: 'yes', no: 'no', unknown: 'not known' } as const;

/** How a vehicle outdoors is protected against an open PEN conductor, and why so. */
export function openPenRows({ openPen, pen }: Proposal, assessed: OpenPenAssessment | undefined): Row[] {
  const way = assessed?.ways.find(({ method }) => method === openPen);
  const details = [
    pen?.reason,
    pen?.detection && `notices by ${pen.detection.replace('-', ' ')}`,
    pen?.declared && `maker declares the disconnection: ${ANSWERS[pen.declared]}`,
    pen?.electrodeOhm === undefined ? undefined : `electrode ${pen.electrodeOhm} Ω`,
    pen?.islandDistanceM === undefined ? undefined : `${pen.islandDistanceM} m to metal earthed through the supply`,
    pen?.secondEarthPath && `second earth path: ${ANSWERS[pen.secondEarthPath]}`,
  ];
  // Never said without how far it is shown: a way that is chosen protects nobody by being chosen.
  const shown = { suits: 'OK', 'does-not': 'Fails', 'not-known': 'Not known yet' };
  const state = way && assessed?.need === 'needed' ? `${shown[way.state]}: ${way.reasons[0] ?? ''}` : undefined;
  const text =
    openPen &&
    (way && way.state !== 'suits' && assessed?.need === 'needed'
      ? `${OPEN_PEN_NAMES[openPen]} (${way.state === 'does-not' ? 'fails' : 'not confirmed'})`
      : OPEN_PEN_NAMES[openPen]);
  return [row('open-pen-protection', 'Open-PEN protection', text, [state, ...details].filter(Boolean).join('; '))];
}
