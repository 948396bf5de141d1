import type { Choice } from './server';
import { day, pounds } from './words';

/** One way of doing it: what is done, the sum, who else is paid, and help with the money. */
export function ChoiceCard({
  choice,
  isOnly,
  isChosen,
  onChoose,
}: {
  readonly choice: Choice;
  readonly isOnly: boolean;
  readonly isChosen: boolean;
  readonly onChoose?: () => void;
}) {
  return (
    <section class={`choice-card${isChosen && !isOnly ? ' chosen' : ''}`} aria-label={choice.title}>
      <h2>{choice.title}</h2>
      <ul>
        {choice.does.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <dl class="sums">
        {choice.lines.map(({ text, quantity, pence }, at) => (
          <Sum key={at} label={`${text}, ${quantity.trim()}`} pence={pence} />
        ))}
        <Sum label="Without tax" pence={choice.netPence} />
        {choice.taxes.map(({ name, percent, pence }) => (
          <Sum key={name} label={`${name}, ${percent} %`} pence={pence} />
        ))}
        <dt class="total">To pay</dt>
        <dd class="total">{pounds(choice.totalPence)}</dd>
      </dl>
      {choice.stages.length > 0 && (
        <ol>
          {choice.stages.map((stage) => (
            <li key={stage.name}>
              <strong>{stage.name}</strong>
              {stage.when !== '' && `, planned for ${day(stage.when)}`}: {pounds(stage.totalPence)}
              <br />
              <span class="quiet">{stage.operator}</span>
            </li>
          ))}
        </ol>
      )}
      <p class="quiet">{choice.operatorWords}</p>
      {choice.help.map(({ name, pence, missing }) => (
        <p key={name}>
          {name} may pay {pounds(pence)} of it.
          {missing.length > 0 && ` Needed for that: ${missing.join('; ')}.`}
        </p>
      ))}
      {onChoose && !isOnly && (
        <label class="choice">
          <input
            type="radio"
            name="choice"
            aria-label={`I choose this one: ${choice.title}`}
            checked={isChosen}
            onChange={onChoose}
          />{' '}
          I choose this one
        </label>
      )}
    </section>
  );
}

function Sum({ label, pence }: { readonly label: string; readonly pence: number }) {
  return (
    <>
      <dt>{label}</dt>
      <dd>{pounds(pence)}</dd>
    </>
  );
}
