import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { BareButton, Button } from '../kit/Button';
import { NumberInput } from '../kit/NumberInput';
import { Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import type { BookFormProps } from './BookForm';

const SHOWN = 5;

/** What is in the van: left off the list of what to buy. */
export function VanFields({ book, change }: BookFormProps) {
  const [sought, setSought] = useState('');
  const nameOf = (id: string): string => book.items.find((item) => item.id === id)?.name ?? id;
  const words = sought.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found =
    words.length === 0
      ? []
      : book.items.filter(
          ({ id, name }, at) =>
            words.every((word) => name.toLowerCase().includes(word)) &&
            !book.van.some((each) => each.id === id) &&
            book.items.findIndex((each) => each.id === id) === at,
        );
  return (
    <Stack>
      {book.van.map(({ id, quantity }) => (
        <Row key={id} style={{ flexWrap: 'nowrap', alignItems: 'end' }}>
          <div style={{ flex: 1 }}>
            <NumberInput
              label={nameOf(id)}
              unit={book.items.find((item) => item.id === id)?.unit === 'm' ? 'm' : ''}
              least={0}
              most={100000}
              value={quantity}
              onChange={(next) => {
                change({
                  ...book,
                  van: book.van.map((each) =>
                    each.id === id ? { id, ...(next === undefined ? {} : { quantity: next }) } : each,
                  ),
                });
              }}
            />
          </div>
          <BareButton
            aria-label={`Take ${nameOf(id)} off`}
            onPress={() => {
              change({ ...book, van: book.van.filter((each) => each.id !== id) });
            }}
          >
            <Trash2 size={18} aria-hidden />
          </BareButton>
        </Row>
      ))}
      <TextInput label="Add something that is in the van" value={sought} onChange={setSought} maxLength={120} />
      <Row>
        {found.slice(0, SHOWN).map(({ id, name }) => (
          <Button
            key={id}
            onPress={() => {
              change({ ...book, van: [...book.van, { id, quantity: 1 }] });
              setSought('');
            }}
          >
            <Plus size={17} aria-hidden /> {name}
          </Button>
        ))}
      </Row>
    </Stack>
  );
}
