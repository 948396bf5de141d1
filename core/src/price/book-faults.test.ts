import { bookFaults } from './book-faults';
import { starterBook } from './starter';
import { openBook, withoutMoney } from './stored-book';

type Book = ReturnType<typeof starterBook>;

const faultsWith = (change: (book: Book) => unknown): string[] => {
  const book = starterBook();
  change(book);
  return bookFaults(book).map(({ path, wrong }) => `${path} ${wrong}`);
};

describe('what is wrong with a price book', () => {
  it('the starter list has no fault', () => {
    expect(bookFaults(starterBook())).toEqual([]);
  });
  it('an item twice from one day is a fault, from another day a new price', () => {
    const again = (validFrom: string) => (book: Book) => {
      book.items = [
        { id: 'x', name: 'X', unit: 'each', validFrom: '2027-01-01' },
        { id: 'x', name: 'X', unit: 'each', validFrom },
      ];
    };
    expect(faultsWith(again('2027-01-01'))).toEqual(['$.items[1] is an item from one day a second time']);
    expect(faultsWith(again('2027-02-01'))).toEqual([]);
  });
  it.each<[string, (book: Book) => unknown, string]>([
    [
      'a day that is none',
      (b) => (b.items = [{ id: 'x', name: 'X', unit: 'm', validFrom: '2027-02-30' }]),
      '$.items[0].validFrom is 2027-02-30',
    ],
    [
      'a class of tax nobody keeps',
      (b) => (b.items = [{ id: 'x', name: 'X', unit: 'm', taxClass: 'odd' }]),
      '$.items[0].taxClass is “odd”',
    ],
    ['a task twice', (b) => (b.rates = [{ task: 'dig' }, { task: 'dig' }]), '$.rates[1] is a task a second time'],
    ['a usual class that is none', (b) => (b.terms.taxClass = 'odd'), '$.terms.taxClass is “odd”'],
    ['an item twice in the van', (b) => (b.van = [{ id: 'x' }, { id: 'x' }]), '$.van[1] is an item a second time'],
  ])('%s', (_name, change, fault) => {
    expect(faultsWith(change)).toContain(fault);
  });
  it('two rates of tax that hold on one day are a fault; end and beginning next to each other are none', () => {
    const rates = (from: string) => (book: Book) => {
      book.items = [];
      book.terms.taxClass = 'a';
      book.taxes = [
        { taxClass: 'a', name: 'A', percent: 20, to: '2027-03-31' },
        { taxClass: 'a', name: 'A', percent: 22, from },
      ];
    };
    expect(faultsWith(rates('2027-03-31'))).toEqual([
      '$.taxes[1].from holds on days on which another rate of its class holds',
    ]);
    expect(faultsWith(rates('2027-04-01'))).toEqual([]);
    expect(
      faultsWith((book) => {
        rates('2027-04-01')(book);
        Object.assign(book.taxes[1] ?? {}, { to: '2027-01-01' });
      }),
    ).toEqual(['$.taxes[1].to is 2027-01-01']);
  });
});

describe('a stored price book', () => {
  it('opens as it was stored', () => {
    const stored: unknown = JSON.parse(JSON.stringify(starterBook()));
    expect(openBook(stored)).toEqual(stored);
  });
  it('without money has its items, hours and van, and no amount anywhere', () => {
    const book = starterBook();
    book.charges = [{ option: 'fuse-upgrade', pence: 12345 }];
    const shown = withoutMoney(book);
    expect(shown.items.map(({ id }) => id)).toEqual(book.items.map(({ id }) => id));
    expect(shown.rates).toEqual(book.rates);
    expect(JSON.stringify(shown)).not.toMatch(/pence|markUp/i);
  });
});
