import { ukDay } from '@keen-gauge/core/calendar/days';
import { pounds } from '@keen-gauge/core/money/pence';
import { ITEM_UNITS, ITEM_UNIT_WORDS, type PriceBook, type PriceItem } from '@keen-gauge/core/price/price-book';
import { priceRows, readPriceRows, type ReadPrices } from '@keen-gauge/core/price/price-rows';
import { Download, Plus, Trash2, Upload } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { BareButton, Button, MainButton } from '../kit/Button';
import { readCsv, saveCsv } from '../kit/csv';
import DayInput from '../kit/DayInput';
import { FieldGrid } from '../kit/fields';
import { Notice } from '../kit/Notice';
import { NumberInput } from '../kit/NumberInput';
import { Row, Stack } from '../kit/Panel';
import { RecordedLine } from '../kit/RecordedLine';
import { Searched } from '../kit/Searched';
import { Select } from '../kit/Select';
import { TextInput } from '../kit/TextInput';
import { freshId } from '../stations/bound';
import type { BookFormProps } from './BookForm';
import { MoneyInput } from './MoneyInput';

const AT_A_GLANCE = 10;

/** The items, found by their words; read from and written as a file. */
export function ItemsList({ book, change }: BookFormProps) {
  const [read, setRead] = useState<ReadPrices>();
  const put = (items: readonly PriceItem[]): void => {
    change({ ...book, items: [...items], terms: { ...book.terms, starter: false } });
  };
  const add = (): void => {
    put([{ id: freshId('item'), name: 'New item', unit: 'each' }, ...book.items]);
  };
  return (
    <Stack>
      <Row>
        <Button onPress={() => void saveCsv('price-list.csv', priceRows(book.items))}>
          <Download size={18} aria-hidden /> Save as CSV
        </Button>
        <FileTrigger
          acceptedFileTypes={['.csv', 'text/csv']}
          onSelect={(files) => {
            const [file] = files ?? [];
            if (file)
              void readCsv(file).then((rows) => {
                setRead(readPriceRows(rows));
              });
          }}
        >
          <Button>
            <Upload size={18} aria-hidden /> Read a CSV …
          </Button>
        </FileTrigger>
        <Button onPress={add}>
          <Plus size={18} aria-hidden /> Add an item
        </Button>
      </Row>
      {read && (
        <ReadIn
          read={read}
          book={book}
          onTake={(items) => {
            put(items);
            setRead(undefined);
          }}
          onLeave={() => {
            setRead(undefined);
          }}
        />
      )}
      <Searched
        label="Search the price list"
        of={book.items}
        textOf={({ name, id, supplierCode = '', supplier = '' }) => `${name} ${id} ${supplierCode} ${supplier}`}
        atAGlance={AT_A_GLANCE}
      >
        {(seen) =>
          seen.map((item) => (
            <ItemLine
              key={`${item.id} ${item.validFrom ?? ''}`}
              item={item}
              book={book}
              onChange={(next) => {
                put(book.items.map((each) => (each === item ? next : each)));
              }}
              onRemove={() => {
                put(book.items.filter((each) => each !== item));
              }}
              onNewPrice={(next) => {
                put([...book.items, next]);
              }}
            />
          ))
        }
      </Searched>
    </Stack>
  );
}

const FAULTS_SHOWN = 30;

/** What a file held: its faults by row, and taking over what has none. */
function ReadIn({
  read: { items, faults },
  book,
  onTake,
  onLeave,
}: {
  readonly read: ReadPrices;
  readonly book: PriceBook;
  readonly onTake: (items: readonly PriceItem[]) => void;
  readonly onLeave: () => void;
}) {
  const rows = new Set(faults.map(({ row }) => row)).size;
  const known = new Set(book.items.map(({ id, validFrom }) => `${id} ${validFrom ?? ''}`));
  const changed = items.filter(({ id, validFrom }) => known.has(`${id} ${validFrom ?? ''}`)).length;
  const merged = (): PriceItem[] => {
    const fresh = new Map(items.map((item) => [`${item.id} ${item.validFrom ?? ''}`, item]));
    const kept = book.items.map((item) => {
      const key = `${item.id} ${item.validFrom ?? ''}`;
      const next = fresh.get(key);
      fresh.delete(key);
      return next ?? item;
    });
    return [...kept, ...fresh.values()];
  };
  return (
    <Stack as="section" aria-label="What the file holds" role="status">
      <p>
        <strong>{items.length} items</strong> can be taken
        {items.length > 0 && `: ${changed} change what is there, ${items.length - changed} are new`}.
        {rows > 0 && ` ${rows} row${rows === 1 ? '' : 's'} cannot.`}
      </p>
      {faults.length > 0 && (
        <Notice kind="act" title={`${faults.length} fault${faults.length === 1 ? '' : 's'} in the file`}>
          <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
            {faults.slice(0, FAULTS_SHOWN).map(({ row, column, wrong, expected }, at) => (
              <li key={at} style={{ overflowWrap: 'anywhere' }}>
                Row {row}, {column}: {wrong}; expected {expected}.
              </li>
            ))}
          </ul>
          {faults.length > FAULTS_SHOWN && `and ${faults.length - FAULTS_SHOWN} more`}
        </Notice>
      )}
      <Row>
        <MainButton
          isDisabled={items.length === 0}
          onPress={() => {
            onTake(merged());
          }}
        >
          Take these {items.length} over
        </MainButton>
        <Button
          isDisabled={items.length === 0 || faults.length > 0}
          onPress={() => {
            onTake(items);
          }}
        >
          Replace the whole list
        </Button>
        <BareButton onPress={onLeave}>Cancel</BareButton>
      </Row>
    </Stack>
  );
}

function ItemLine({
  item,
  book,
  onChange,
  onRemove,
  onNewPrice,
}: {
  readonly item: PriceItem;
  readonly book: PriceBook;
  readonly onChange: (item: PriceItem) => void;
  readonly onRemove: () => void;
  readonly onNewPrice: (item: PriceItem) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const set = (values: { [K in keyof PriceItem]?: PriceItem[K] | undefined }): void => {
    onChange(
      Object.fromEntries(
        Object.entries({ ...item, ...values }).filter(([, value]) => value !== undefined && value !== ''),
      ) as unknown as PriceItem,
    );
  };
  if (!isOpen)
    return (
      <RecordedLine
        label={`${item.name}${item.validFrom === undefined ? '' : `, from ${item.validFrom}`}`}
        says={priceWords(item)}
        onPress={() => {
          setOpen(true);
        }}
      />
    );
  const today = ukDay(new Date());
  return (
    <Stack as="section" aria-label={item.name} style={{ borderLeft: '3px solid var(--line)', paddingLeft: '0.7rem' }}>
      <FieldGrid>
        <TextInput
          label="Name"
          value={item.name}
          maxLength={120}
          onChange={(name) => {
            onChange({ ...item, name });
          }}
        />
        <Select
          label="Counted in"
          value={item.unit}
          options={ITEM_UNITS.map((value) => ({ value, label: ITEM_UNIT_WORDS[value] }))}
          onChange={(unit) => {
            set({ unit });
          }}
        />
        <MoneyInput
          label="Buying price"
          value={item.buyPence}
          onChange={(buyPence) => {
            set({ buyPence });
          }}
        />
        <NumberInput
          label="Mark-up"
          unit="%"
          least={0}
          most={1000}
          usual={[20, 25, 30]}
          value={item.markUpPercent}
          onChange={(markUpPercent) => {
            set({ markUpPercent });
          }}
        />
        <TextInput
          label="Supplier"
          value={item.supplier ?? ''}
          maxLength={60}
          onChange={(supplier) => {
            set({ supplier });
          }}
        />
        <TextInput
          label="Supplier’s code"
          value={item.supplierCode ?? ''}
          maxLength={60}
          onChange={(supplierCode) => {
            set({ supplierCode });
          }}
        />
        <NumberInput
          label="Sold in lots of"
          unit={item.unit === 'm' ? 'm' : ''}
          least={0.01}
          most={100000}
          value={item.soldIn}
          onChange={(soldIn) => {
            set({ soldIn });
          }}
        />
        <Select
          label="Tax"
          value={item.taxClass ?? book.terms.taxClass ?? 'standard'}
          options={[...new Set(book.taxes.map(({ taxClass }) => taxClass))].map((value) => ({
            value,
            label: book.taxes.find(({ taxClass }) => taxClass === value)?.name ?? value,
          }))}
          onChange={(taxClass) => {
            set({ taxClass });
          }}
        />
        <DayInput
          label="Valid from"
          value={item.validFrom ?? ''}
          onChange={(validFrom) => {
            set({ validFrom: validFrom === '' ? undefined : validFrom });
          }}
        />
      </FieldGrid>
      <p className="quiet">Lines of a survey name it {item.id}.</p>
      <Row>
        <Button
          onPress={() => {
            onNewPrice({ ...item, validFrom: today });
            setOpen(false);
          }}
        >
          A new price from today
        </Button>
        <BareButton aria-label={`Remove ${item.name}`} onPress={onRemove}>
          <Trash2 size={18} aria-hidden /> Remove
        </BareButton>
        <BareButton
          onPress={() => {
            setOpen(false);
          }}
        >
          Close
        </BareButton>
      </Row>
    </Stack>
  );
}

function priceWords({ buyPence, markUpPercent, unit }: PriceItem): string {
  if (buyPence === undefined) return 'No price';
  const per = unit === 'm' ? ' a metre' : '';
  return `${pounds(buyPence)}${per}${markUpPercent === undefined ? '' : ` + ${markUpPercent} %`}`;
}
