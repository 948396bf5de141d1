import { PRICE_ROLES, type PriceBook, type PriceTerms } from '@keen-gauge/core/price/price-book';
import { STARTER_TERMS } from '@keen-gauge/core/price/starter';
import type { Me } from '../api/me';
import { AnswerRow } from '../kit/AnswerRow';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { Notice } from '../kit/Notice';
import { NumberInput } from '../kit/NumberInput';
import { Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { BookForm } from './BookForm';
import { ChargesFields } from './ChargesFields';
import { ItemsList } from './ItemsList';
import { MoneyInput } from './MoneyInput';
import { TaxFields } from './TaxFields';
import { VanFields } from './VanFields';

const ROLE_WORDS = { surveyor: 'Surveyors', office: 'The office' } as const;

/** The firm’s price list, its terms, tax, operator’s charges and what is in the van. */
export function PricesPanel({ me }: { readonly me: Me }) {
  return (
    <BookForm title="Prices" lead="Without tax. Amounts are whole pence; each line of an estimate is rounded once.">
      {({ book, change }) => (
        <Stack>
          {book.terms.starter === true && (
            <Notice
              kind="ask"
              title="This is the starter list: round figures to begin with. Put your own in their place, or read your own list in."
            />
          )}
          <TermsFields
            book={book}
            me={me}
            onChange={(terms) => {
              change({ ...book, terms });
            }}
          />
          <More label="Price list" note={`${new Set(book.items.map(({ id }) => id)).size} items`} open>
            <ItemsList book={book} change={change} />
          </More>
          <More label="Tax" note={`${book.taxes.length} rates, each with its days`}>
            <TaxFields book={book} change={change} />
          </More>
          <More label="What operators charge" note="paid to the operator, beside your sum">
            <ChargesFields book={book} change={change} />
          </More>
          <More label="In the van" note={`${book.van.length} items, left off the list of what to buy`}>
            <VanFields book={book} change={change} />
          </More>
        </Stack>
      )}
    </BookForm>
  );
}

function TermsFields({
  book: { terms },
  me,
  onChange,
}: {
  readonly book: PriceBook;
  readonly me: Me;
  readonly onChange: (terms: PriceTerms) => void;
}) {
  const set = (values: { [K in keyof PriceTerms]?: PriceTerms[K] | undefined }): void => {
    onChange(
      Object.fromEntries(
        Object.entries({ ...terms, ...values }).filter(([, value]) => value !== undefined),
      ) as PriceTerms,
    );
  };
  const hidden = terms.hiddenFrom ?? [];
  return (
    <>
      <FieldGrid>
        <MoneyInput
          label="An hour as sold"
          value={terms.hourPence ?? STARTER_TERMS.hourPence}
          onChange={(hourPence) => {
            set({ hourPence });
          }}
        />
        <MoneyInput
          label="An hour as it costs you"
          value={terms.hourCostPence ?? STARTER_TERMS.hourCostPence}
          onChange={(hourCostPence) => {
            set({ hourCostPence });
          }}
        />
        <NumberInput
          label="Quotations stand for"
          unit="days"
          least={1}
          most={365}
          whole
          value={terms.validDays ?? STARTER_TERMS.validDays}
          onChange={(validDays) => {
            set({ validDays });
          }}
        />
        <NumberInput
          label="Cable wasted"
          unit="%"
          least={0}
          most={100}
          value={terms.wastePercent ?? STARTER_TERMS.wastePercent}
          onChange={(wastePercent) => {
            set({ wastePercent });
          }}
        />
        <NumberInput
          label="Cable inside at each end"
          unit="m"
          least={0}
          most={10}
          value={terms.endM ?? STARTER_TERMS.endM}
          onChange={(endM) => {
            set({ endM });
          }}
        />
        <NumberInput
          label="Rates are suggested from"
          unit="jobs"
          least={3}
          most={1000}
          whole
          value={terms.learnFrom ?? STARTER_TERMS.learnFrom}
          onChange={(learnFrom) => {
            set({ learnFrom });
          }}
        />
      </FieldGrid>
      <AnswerRow
        label="Quotations show"
        value={terms.detail ?? 'plain'}
        options={[
          { value: 'plain', label: 'The sum' },
          { value: 'lines', label: 'Every line' },
        ]}
        onChange={(detail) => {
          set({ detail });
        }}
      />
      {me.role === 'supervisor' && (
        <More
          label="Who sees prices"
          note={
            hidden.length === 0
              ? 'everybody'
              : `hidden from ${hidden.length === 2 ? 'all but supervisors' : ROLE_WORDS[hidden[0] ?? 'office'].toLowerCase()}`
          }
        >
          {PRICE_ROLES.map((role) => (
            <AnswerRow
              key={role}
              label={ROLE_WORDS[role]}
              value={hidden.includes(role) ? 'no' : 'yes'}
              options={[
                { value: 'yes', label: 'See prices' },
                { value: 'no', label: 'Do not' },
              ]}
              onChange={(next) => {
                set({
                  hiddenFrom: PRICE_ROLES.filter((each) => (each === role ? next === 'no' : hidden.includes(each))),
                });
              }}
            />
          ))}
        </More>
      )}
      <More label="Conditions" note="printed under every quotation">
        <TextInput
          label="Conditions"
          lines
          maxLength={2000}
          value={terms.conditions ?? ''}
          onChange={(conditions) => {
            set({ conditions: conditions === '' ? undefined : conditions });
          }}
        />
      </More>
    </>
  );
}
