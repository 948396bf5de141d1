import { evidenceId, judgeScheme, type SchemeVerdict } from '@keen-gauge/core/schemes/meets';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { Link } from 'react-router';
import { useSchemes } from '../../api/prices';
import { Field } from '../../fields/Field';
import { AnswerRow } from '../../kit/AnswerRow';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
import { Panel, Stack } from '../../kit/Panel';
import { stateOf, StateMark } from '../../kit/StateMark';
import { useEstimate } from '../../price/use-estimate';
import { useSurvey } from '../../survey/SurveyContext';
import { Pounds } from '../../price/Pounds';

/** Schemes of money help: which of the firm’s this job meets, what is missing, and the sum. */
export function HelpPanel() {
  const { survey } = useSurvey();
  const { data } = useSchemes();
  const { priced } = useEstimate();
  const schemes = data?.schemes ?? [];
  const totalPence = priced && !priced.hidden ? priced.estimate.total.pence : 0;
  const day = ukDay(new Date());
  const verdicts = schemes.map((scheme) => judgeScheme(scheme, { survey, totalPence, day }));
  return (
    <Panel aria-label="Money help">
      <h2>Money help</h2>
      {schemes.length === 0 ? (
        <p className="quiet">
          Your firm keeps no scheme yet. <Link to="/firm/money-help">Add one in Firm settings</Link>
        </p>
      ) : (
        <>
          <Field path={['help', 'applicant']} />
          <Field path={['help', 'offStreet']} />
          <FieldGrid>
            <Field path={['help', 'outlets']} few />
            <Field path={['help', 'preparedBays']} few />
          </FieldGrid>
          {verdicts.map((verdict) => (
            <SchemeLine key={verdict.scheme.id} verdict={verdict} showsMoney={totalPence > 0} />
          ))}
        </>
      )}
    </Panel>
  );
}

function SchemeLine({ verdict, showsMoney }: { readonly verdict: SchemeVerdict; readonly showsMoney: boolean }) {
  const { survey, store } = useSurvey();
  const { scheme, met, sum, conditions, missingEvidence } = verdict;
  const had = survey.help?.evidence ?? [];
  const words = met === null ? 'Not known yet' : met ? 'Met' : 'Not met';
  return (
    <Stack as="section" aria-label={scheme.name} style={{ '--gap': '0.4rem' }}>
      <h3>{scheme.name}</h3>
      <StateMark state={stateOf(met)} words={words} />
      {sum !== null && showsMoney && (
        <p>
          {met ? 'Gives' : 'Would give'} <Pounds of={sum.pence} />
        </p>
      )}
      <More
        label="Conditions and evidence"
        note={missingEvidence.length > 0 ? `${missingEvidence.length} missing` : ''}
      >
        <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
          {conditions.map(({ says, met: isMet }) => (
            <li key={says}>
              {says}: <strong>{isMet === null ? 'not known yet' : isMet ? 'met' : 'not met'}</strong>
            </li>
          ))}
        </ul>
        {scheme.evidence.map(({ id, text }) => {
          const key = evidenceId(scheme.id, id);
          const there = had.find((each) => each.id === key)?.there;
          return (
            <AnswerRow
              key={id}
              label={text}
              value={there === undefined ? undefined : there ? 'there' : 'missing'}
              options={[
                { value: 'there', label: 'There' },
                { value: 'missing', label: 'Missing' },
              ]}
              onChange={(next) => {
                const rest = had.filter((each) => each.id !== key);
                store.edit({
                  ...survey,
                  help: { ...survey.help, evidence: [...rest, { id: key, there: next === 'there' }] },
                });
              }}
            />
          );
        })}
      </More>
    </Stack>
  );
}
