import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { comparePacks } from '@keen-gauge/core/rules/terms';
import { useState } from 'react';
import { Choice } from '../../kit/Choice';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { Table } from '../../kit/Table';
import { ruleSetList, rulesOptions } from './rule-sets';

/** Two sets of rules side by side, with the source of every figure; what differs is marked by a word, not by colour alone. */
export function ComparePanel({ rules }: { readonly rules: FirmRules }) {
  const sets = ruleSetList(rules);
  const [oneId, setOne] = useState(rules.house.defaultRulesId);
  const [otherId, setOther] = useState(sets.find(({ id }) => id !== oneId)?.id ?? oneId);
  const [shown, setShown] = useState<'all' | 'differs'>('all');
  const [one, other] = [sets.find(({ id }) => id === oneId), sets.find(({ id }) => id === otherId)];
  const lines = one && other ? comparePacks(one, other) : [];
  const differing = lines.filter(({ differs }) => differs);
  return (
    <Panel aria-label="Two sets of rules side by side">
      <h2>Two sets of rules side by side</h2>
      <FieldGrid>
        <Select label="One" value={oneId} options={rulesOptions(rules)} onChange={setOne} />
        <Select label="The other" value={otherId} options={rulesOptions(rules)} onChange={setOther} />
      </FieldGrid>
      <Choice
        label="Which lines"
        tile="9rem"
        value={shown}
        options={[
          { value: 'all', label: 'All' },
          { value: 'differs', label: 'What differs' },
        ]}
        onChange={setShown}
      />
      <p aria-live="polite">
        {differing.length === 0
          ? 'The two say the same.'
          : `${differing.length} ${differing.length === 1 ? 'line differs' : 'lines differ'}.`}
      </p>
      <Table
        label="The two sets of rules"
        columns={['Term', one?.title ?? 'One', other?.title ?? 'The other']}
        rows={(shown === 'all' ? lines : differing).map((line) => ({
          id: line.title,
          about: (
            <>
              {line.title}
              {line.differs && <span style={{ color: 'var(--accent)' }}> · differs</span>}
            </>
          ),
          cells: [
            <Cell key="one" value={line.one} source={line.oneSource} strong={line.differs} />,
            <Cell key="other" value={line.other} source={line.otherSource} strong={line.differs} />,
          ],
        }))}
      />
    </Panel>
  );
}

function Cell({
  value,
  source,
  strong,
}: {
  readonly value: string;
  readonly source: string;
  readonly strong: boolean;
}) {
  return (
    <>
      {strong ? <strong>{value}</strong> : value}
      {source !== '' && (
        <span className="quiet" style={{ display: 'block', fontSize: '0.88rem' }}>
          {source}
        </span>
      )}
    </>
  );
}
