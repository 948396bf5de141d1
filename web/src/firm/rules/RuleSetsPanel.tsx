import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { toRules, type OperatorRules } from '@keen-gauge/core/firm/operator-rules';
import { RULE_SETS } from '@keen-gauge/core/rules/catalogue';
import type { Rules } from '@keen-gauge/core/rules/rules';
import { useState } from 'react';
import { putOperatorRules, useRulesVersions } from '../../api/firm';
import { problemWords } from '../../api/problem-words';
import { BareButton, Button } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { useDraft } from '../use-draft';
import { RulesForm } from './RulesForm';

interface Props {
  readonly rules: FirmRules;
  readonly may: boolean;
  readonly onChanged: (rules: FirmRules) => void;
}

/** Every set of rules: those that ship can be copied, the firm's own changed; each change is a version that stays. */
export function RuleSetsPanel({ rules, may, onChanged }: Props) {
  const { draft: editing, change: setEditing, settle } = useDraft<OperatorRules | null>('rules', null);
  const [problem, setProblem] = useState<string | null>(null);
  const put = async (written: OperatorRules): Promise<void> => {
    setProblem(null);
    try {
      onChanged((await putOperatorRules(written)).rules);
      settle(null);
    } catch (failed) {
      setProblem(problemWords(failed));
    }
  };
  return (
    <Panel aria-label="Sets of rules">
      <h2>Sets of rules</h2>
      {RULE_SETS.map((rules) => (
        <Line key={rules.id} rules={rules} mark="ships with Keen Gauge">
          {may && (
            <Button
              aria-label={`Copy ${rules.title}`}
              onPress={() => {
                setEditing({
                  id: crypto.randomUUID(),
                  title: `${rules.title}, our copy`,
                  basedOn: rules.id,
                  source: '',
                  changes: [],
                });
              }}
            >
              Copy
            </Button>
          )}
        </Line>
      ))}
      {rules.own.map((own) => (
        <Line
          key={own.id}
          rules={toRules(own)}
          mark={own.retired ? 'the firm’s own, offered no more' : 'the firm’s own'}
          versions={own.id}
        >
          {may && (
            <>
              <Button
                aria-label={`Change ${own.title}`}
                onPress={() => {
                  setEditing(own);
                }}
              >
                Change
              </Button>
              <BareButton
                aria-label={`${own.retired ? 'Offer again' : 'Offer no more'}: ${own.title}`}
                onPress={() => void put({ ...own, retired: !own.retired })}
              >
                {own.retired ? 'Offer again' : 'Offer no more'}
              </BareButton>
            </>
          )}
        </Line>
      ))}
      {editing && (
        <RulesForm
          key={`${editing.id} ${editing.version ?? 0}`}
          draft={editing}
          onChange={setEditing}
          onSave={(written) => void put(written)}
          onLeave={() => {
            settle(null);
          }}
        />
      )}
      {problem !== null && <Notice kind="act" title={problem} />}
    </Panel>
  );
}

function Line({
  rules,
  mark,
  versions,
  children,
}: {
  readonly rules: Rules;
  readonly mark: string;
  readonly versions?: string;
  readonly children: React.ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Stack role="group" aria-label={rules.title} style={{ '--gap': '0.3rem' }}>
      <Row>
        <Stack style={{ '--gap': '0.1rem', flex: 1, minWidth: 'min(16rem, 100%)' }}>
          <strong>{rules.title}</strong>
          <span className="quiet">
            Version {rules.version}, of {rules.date}; {mark}. Source: {rules.source}.
          </span>
        </Stack>
        {versions !== undefined && (
          <BareButton
            aria-expanded={open}
            aria-label={`Versions of ${rules.title}`}
            onPress={() => {
              setOpen(!open);
            }}
          >
            Versions
          </BareButton>
        )}
        {children}
      </Row>
      {open && versions !== undefined && <Versions id={versions} />}
    </Stack>
  );
}

function Versions({ id }: { readonly id: string }) {
  const { data, error } = useRulesVersions(id);
  if (error && !data) return <Notice kind="act" title="The versions could not be loaded." />;
  return (
    <ol style={{ margin: 0 }} reversed>
      {data?.versions.map(({ rules: written, madeBy, madeAt }) => (
        <li key={written.version}>
          Version {written.version}, {madeBy},{' '}
          {new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(madeAt))}:{' '}
          {written.changes.length === 0
            ? 'no figures of its own'
            : written.changes.map(({ term, value }) => `${term} ${value}`).join(', ')}
        </li>
      ))}
    </ol>
  );
}
