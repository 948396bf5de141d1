import type { TaxRate } from '@keen-gauge/core/price/price-book';
import { Plus, Trash2 } from 'lucide-react';
import { BareButton, Button } from '../kit/Button';
import DayInput from '../kit/DayInput';
import { FieldGrid } from '../kit/fields';
import { NumberInput } from '../kit/NumberInput';
import { Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import type { BookFormProps } from './BookForm';

/** Rates of tax, each of a class and between two days: the rate of the day a quotation is made holds. */
export function TaxFields({ book, change }: BookFormProps) {
  const put = (taxes: TaxRate[]): void => {
    change({ ...book, taxes });
  };
  return (
    <Stack>
      {book.taxes.map((rate, at) => {
        const set = (values: { [K in keyof TaxRate]?: TaxRate[K] | undefined }): void => {
          const next = Object.fromEntries(
            Object.entries({ ...rate, ...values }).filter(([, value]) => value !== undefined),
          ) as unknown as TaxRate;
          put(book.taxes.map((each, index) => (index === at ? next : each)));
        };
        return (
          <Stack as="section" key={at} aria-label={rate.name}>
            <Row style={{ justifyContent: 'space-between' }}>
              <strong>{rate.name}</strong>
              <BareButton
                aria-label={`Remove ${rate.name}`}
                onPress={() => {
                  put(book.taxes.filter((_each, index) => index !== at));
                }}
              >
                <Trash2 size={18} aria-hidden />
              </BareButton>
            </Row>
            <FieldGrid>
              <TextInput
                label="Name"
                value={rate.name}
                maxLength={60}
                onChange={(name) => {
                  set({ name });
                }}
              />
              <TextInput
                label="Class"
                value={rate.taxClass}
                maxLength={40}
                help="Letters, digits and hyphens; items name it so."
                onChange={(taxClass) => {
                  set({ taxClass });
                }}
              />
              <NumberInput
                label="Rate"
                unit="%"
                least={0}
                most={100}
                value={rate.percent}
                onChange={(percent) => {
                  if (percent !== undefined) set({ percent });
                }}
              />
              <DayInput
                label="From"
                value={rate.from ?? ''}
                onChange={(from) => {
                  set({ from: from === '' ? undefined : from });
                }}
              />
              <DayInput
                label="To"
                value={rate.to ?? ''}
                onChange={(to) => {
                  set({ to: to === '' ? undefined : to });
                }}
              />
            </FieldGrid>
          </Stack>
        );
      })}
      <div>
        <Button
          onPress={() => {
            put([...book.taxes, { taxClass: 'new', name: 'New rate', percent: 0 }]);
          }}
        >
          <Plus size={18} aria-hidden /> Add a rate
        </Button>
      </div>
    </Stack>
  );
}
