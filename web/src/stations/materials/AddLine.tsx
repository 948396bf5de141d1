import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { OWN_LINE } from '@keen-gauge/core/stages/stages';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Button, MainButton } from '../../kit/Button';
import { NumberInput } from '../../kit/NumberInput';
import { Row, Stack } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';
import { freshId } from '../bound';
import { useLineEdits } from './use-line-edits';

const SHOWN = 6;

/** A line that the survey knows nothing of: an item of the price list, found by its words, or words of one’s own. */
export function AddLine({ book }: { readonly book: PriceBook }) {
  const { change } = useLineEdits();
  const [isOpen, setOpen] = useState(false);
  const [sought, setSought] = useState('');
  const [quantity, setQuantity] = useState<number | undefined>(1);
  const words = sought.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found =
    words.length === 0
      ? []
      : [...new Map(book.items.map((item) => [item.id, item])).values()].filter(({ name, supplierCode = '' }) =>
          words.every((word) => `${name} ${supplierCode}`.toLowerCase().includes(word)),
        );
  const add = (line: { readonly item: string } | { readonly text: string }): void => {
    change(freshId(OWN_LINE.slice(0, -1)), { ...line, quantity: quantity ?? 1 });
    setSought('');
    setQuantity(1);
    setOpen(false);
  };
  if (!isOpen)
    return (
      <div>
        <Button
          onPress={() => {
            setOpen(true);
          }}
        >
          <Plus size={18} aria-hidden /> Add a line
        </Button>
      </div>
    );
  return (
    <Stack as="section" aria-label="A line of your own">
      <TextInput
        label="What"
        value={sought}
        onChange={setSought}
        maxLength={120}
        help="Found in the price list by its words."
      />
      <div style={{ maxWidth: '14rem' }}>
        <NumberInput label="How much" unit="" least={0} most={100000} value={quantity} onChange={setQuantity} />
      </div>
      <Row>
        {found.slice(0, SHOWN).map((item) => (
          <Button
            key={item.id}
            onPress={() => {
              add({ item: item.id });
            }}
          >
            {item.name}
          </Button>
        ))}
        {found.length > SHOWN && <span className="quiet">and {found.length - SHOWN} more: type another word</span>}
      </Row>
      {words.length > 0 && found.length === 0 && <p className="quiet">The price list has nothing of that name.</p>}
      <Row>
        <MainButton
          isDisabled={sought.trim() === ''}
          onPress={() => {
            add({ text: sought.trim() });
          }}
        >
          Add it in these words
        </MainButton>
        <Button
          onPress={() => {
            setOpen(false);
          }}
        >
          Cancel
        </Button>
      </Row>
    </Stack>
  );
}
