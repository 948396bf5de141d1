import type { PricedLine } from '@keen-gauge/core/estimate/estimate';
import { quantityWords } from '@keen-gauge/core/materials/line';
import type { Prices } from '@keen-gauge/core/price/at-day';
import { TASK_WORDS } from '@keen-gauge/core/price/tasks';
import { fixed } from '@keen-gauge/core/rules/rounding';
import type { LineEdit } from '@keen-gauge/core/survey/works';
import { ChevronDown, ChevronRight, CircleHelp } from 'lucide-react';
import { useState } from 'react';
import { Button as Press } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { NumberInput } from '../../kit/NumberInput';
import { Row, Stack } from '../../kit/Panel';
import { Sum } from '../../price/MoneySheet';
import { useSurvey } from '../../survey/SurveyContext';
import { STATION_NAMES } from '../station-names';
import { useLineEdits } from './use-line-edits';

const Item = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 0 0.5rem;
  &[data-struck] s {
    color: var(--quiet);
  }
  & > :last-child:not(:nth-child(2)) {
    grid-column: 1 / -1;
  }
  @container (max-width: 15rem) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Opener = styled(Press)`
  display: grid;
  grid-template-columns: 1.2rem minmax(0, 1fr) auto;
  gap: 0.5rem;
  align-items: center;
  min-height: 50px;
  padding: 0.25rem 0;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
  &[data-hovered] {
    background: var(--raised);
  }
  @container (max-width: 15rem) {
    grid-template-columns: 1.2rem minmax(0, 1fr);
    & > :last-child {
      grid-column: 2;
    }
  }
`;

const From = styled.span`
  display: block;
  color: var(--quiet);
  font-size: 0.86rem;
  line-height: 1.25;
`;

/** One line to buy or to do: what, how much, where it comes from, its price; it opens to be changed in place. */
export function LineRow({
  priced,
  prices,
  hidden,
}: {
  readonly priced: PricedLine;
  readonly prices: Prices;
  readonly hidden: boolean;
}) {
  const [isOpen, setOpen] = useState(false);
  const { standing, line, price, why } = priced;
  const { surveySays, isStruck, edit } = standing;
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  const name = line.kind === 'material' && line.item !== null ? (prices.item(line.item)?.name ?? line.text) : line.text;
  const differs = edit !== null && surveySays !== null && !isStruck;
  return (
    <Item {...(isStruck ? { 'data-struck': '' } : {})}>
      <Opener
        aria-expanded={isOpen}
        onPress={() => {
          setOpen(!isOpen);
        }}
      >
        <Chevron size={17} aria-hidden />
        <span>
          {isStruck ? <s>{name}</s> : <strong style={{ fontWeight: 600 }}>{name}</strong>}
          {isStruck && <em className="quiet"> struck</em>}
          {differs && <em className="quiet"> changed; the survey says {quantityWords(surveySays)}</em>}
          <From>{line.from.says}</From>
        </span>
        <span className="figures">{quantityWords(line)}</span>
      </Opener>
      {isStruck || hidden ? (
        <span />
      ) : price === null ? (
        <span style={{ color: 'var(--ask)', display: 'inline-flex', gap: '0.25rem', alignItems: 'center' }}>
          <CircleHelp size={17} aria-hidden /> No price
        </span>
      ) : (
        <Sum of={price} />
      )}
      {isOpen && <LineEditor priced={priced} why={why} />}
    </Item>
  );
}

function LineEditor({ priced, why }: { readonly priced: PricedLine; readonly why: string | null }) {
  const { job } = useSurvey();
  const { edited, change, drop } = useLineEdits();
  const { standing, line, hours } = priced;
  const { surveySays, isStruck, edit } = standing;
  const set = (values: { [K in keyof LineEdit]?: LineEdit[K] | undefined }): void => {
    change(line.id, values);
  };
  return (
    <Stack style={{ padding: '0.2rem 0 0.9rem 1.7rem', '--gap': '0.6rem' }}>
      {why !== null && !isStruck && <p style={{ color: 'var(--ask)' }}>{why}</p>}
      {line.assumes !== undefined && <p className="quiet">Assumed: {line.assumes}</p>}
      {hours !== null && (
        <p className="quiet">
          {TASK_WORDS[line.kind === 'work' ? line.task : 'test'].name}: {fixed(hours, 2)} h
        </p>
      )}
      {!isStruck && (
        <FieldGrid>
          <NumberInput
            label={line.kind === 'work' ? `How much, by ${TASK_WORDS[line.task].per}` : 'How much'}
            unit={line.kind === 'material' && line.unit === 'm' ? 'm' : ''}
            least={0}
            most={100000}
            value={line.quantity ?? undefined}
            onChange={(quantity) => {
              set({ quantity });
            }}
          />
        </FieldGrid>
      )}
      <Row>
        <Button
          onPress={() => {
            set({ struck: isStruck ? undefined : true });
          }}
        >
          {isStruck ? 'Put it back' : 'Strike this line'}
        </Button>
        {edited(line.id) && !isStruck && (
          <Button
            onPress={() => {
              drop(line.id);
            }}
          >
            {surveySays === null ? 'Remove it' : 'Back to what the survey says'}
          </Button>
        )}
        <Link to={`/jobs/${job.id}/${line.from.station}`}>{STATION_NAMES[line.from.station]}</Link>
      </Row>
      {edit?.by !== undefined && <p className="quiet">Changed by {edit.by}</p>}
    </Stack>
  );
}
