import type { BackPlan } from '@keen-gauge/core/calendar/back-plan';
import { addDays, daysBetween } from '@keen-gauge/core/calendar/days';
import { StateMark } from '../kit/StateMark';
import { dayWords } from './day-words';

const [WIDTH, TOP, PITCH] = [720, 34, 30];

/** The days counted back from the vehicle's arrival as one line each: when a step can be at the earliest, by when it has to be. */
export function BackPlanPicture({ plan, today }: { readonly plan: BackPlan; readonly today: string }) {
  const all = [today, plan.readyOn, ...plan.steps.flatMap(({ earliestOn, latestOn }) => [earliestOn, latestOn])].sort();
  const [first = today, last = today] = [all[0], all.at(-1)];
  const span = Math.max(1, daysBetween(first, last));
  const x = (day: string): number => 150 + (daysBetween(first, day) / span) * (WIDTH - 170);
  const height = TOP + plan.steps.length * PITCH + 16;
  return (
    <section aria-label="Counted back from the vehicle’s arrival" style={{ display: 'grid', gap: '0.5rem' }}>
      <h3>Counted back from the vehicle’s arrival</h3>
      <p>
        <StateMark
          state={plan.inTime ? 'holds' : 'fails'}
          words={
            plan.inTime ? 'In time.' : `Not in time: it can be ready on ${dayWords(addDays(plan.readyOn, 1))} at best.`
          }
        />
      </p>
      <div style={{ overflowX: 'auto' }} tabIndex={0} role="group" aria-label="The days as a picture">
        <svg
          viewBox={`0 0 ${WIDTH} ${height}`}
          width="100%"
          style={{ minWidth: '34rem' }}
          aria-hidden
          focusable="false"
        >
          <line x1={x(today)} x2={x(today)} y1={18} y2={height - 6} stroke="var(--focus)" strokeDasharray="3 3" />
          <text x={x(today)} y={13} textAnchor="middle" fontSize={12} fill="var(--ink)">
            today
          </text>
          {plan.steps.map(({ id, title, earliestOn, latestOn, late, done }, at) => {
            const y = TOP + at * PITCH + 10;
            const [from, to] = [x(earliestOn), x(latestOn)];
            return (
              <g key={id}>
                <text x={0} y={y + 4} fontSize={13} fill="var(--ink)">
                  {title}
                </text>
                {!done && (
                  <line
                    x1={from}
                    x2={to}
                    y1={y}
                    y2={y}
                    stroke={late ? 'var(--hold)' : 'var(--now)'}
                    strokeWidth={late ? 3 : 8}
                    strokeDasharray={late ? '4 3' : undefined}
                  />
                )}
                <circle
                  cx={from}
                  cy={y}
                  r={6}
                  fill={done ? 'var(--ink)' : 'var(--surface)'}
                  stroke="var(--ink)"
                  strokeWidth={2}
                />
                {!done && <path d={`M${to} ${y - 9}v18`} stroke="var(--ink)" strokeWidth={3} />}
              </g>
            );
          })}
        </svg>
      </div>
      <ol style={{ margin: 0, paddingLeft: '1.2rem' }}>
        {plan.steps.map(({ id, title, earliestOn, latestOn, late, done }) => (
          <li key={id}>
            <strong>{title}</strong>:{' '}
            {id === 'arrives'
              ? dayWords(latestOn)
              : done
                ? `done ${dayWords(earliestOn)}`
                : `by ${dayWords(latestOn)} at the latest${late ? `; it can be on ${dayWords(earliestOn)} at the earliest: late` : ''}`}
          </li>
        ))}
      </ol>
      <p className="quiet">Ring: the earliest it can be. Post: the latest that is still in time. Filled: done.</p>
    </section>
  );
}
