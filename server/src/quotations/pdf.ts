import { pounds } from '@keen-gauge/core/money/pence';
import type { Quote, QuoteChoice } from '@keen-gauge/core/quote/quote';
import { photosOn, type PrintedPicture } from '../packs/pdf/photos';
import { Page, WIDTH } from '../packs/pdf/page';

export interface QuotationInput {
  readonly quote: Quote;
  readonly fingerprint: string;
  readonly at: string;
  readonly printed: readonly (readonly [id: string, picture: PrintedPicture])[];
}

const dated = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(`${day}T00:00:00Z`));

/** A quotation as a tagged A4 PDF in the look of the pack. */
export async function quotationPdf({ quote, fingerprint, at, printed }: QuotationInput): Promise<Uint8Array> {
  const label = `${quote.number}${quote.revision > 1 ? `, revision ${quote.revision}` : ''}`;
  const page = new Page({ title: `Quotation ${label}`, author: quote.firm.name, subject: quote.about, at });
  page.heading(1, `Quotation ${label}`);
  page.paragraph(`${quote.firm.name} · ${dated(quote.date)} · valid until ${dated(quote.validUntil)}`, { quiet: true });
  page.paragraph([quote.to.name, quote.to.address].filter(Boolean).join(', '), { face: 'bold' });
  if (quote.about !== '') page.paragraph(quote.about);
  quote.choices.forEach((choice, index) => {
    choiceOn(page, choice, quote.choices.length > 1 ? `Choice ${index + 1}: ${choice.title}` : choice.title);
  });
  for (const [title, lines] of [
    ['We have assumed', quote.assumes],
    ['What would change the price', quote.wouldChange],
    ['Not included', quote.excluded],
    ['What to expect on the day', quote.disruption],
  ] as const) {
    if (lines.length === 0) continue;
    page.heading(2, title);
    for (const line of lines) page.paragraph(`• ${line}`);
  }
  if (quote.conditions !== '') {
    page.heading(2, 'Conditions');
    page.paragraph(quote.conditions, { size: 9 });
  }
  const pictures = new Map(printed.map(([id, picture]) => [id, { ...picture, bytes: Buffer.from(picture.bytes) }]));
  if (pictures.size > 0) {
    page.heading(2, 'Pictures');
    await photosOn(
      page,
      quote.pictures.map((each) => ({ ...each, marks: [], under: '' })),
      pictures,
    );
  }
  const firm = [quote.firm.name, quote.firm.address, quote.firm.telephone, quote.firm.email]
    .filter(Boolean)
    .join(' · ');
  page.paragraph(firm, { quiet: true, size: 9 });
  return page.finish(
    (here, of) => `Quotation ${label} · page ${here} of ${of} · fingerprint ${fingerprint.slice(0, 16)}`,
  );
}

function choiceOn(page: Page, choice: QuoteChoice, title: string): void {
  page.heading(2, title);
  for (const line of choice.does) page.paragraph(`• ${line}`);
  const sum = (text: string, amount: string, bold = false) => [
    { text, style: bold ? { face: 'bold' as const } : { quiet: true } },
    { text: amount, style: { face: 'mono' as const } },
  ];
  page.table(
    [
      ...choice.lines.map(({ text, quantity, pence }) => sum(`${text}, ${quantity.trim()}`, pounds(pence))),
      sum('Without tax', pounds(choice.netPence)),
      ...choice.taxes.map(({ name, percent, pence }) => sum(`${name}, ${percent} %`, pounds(pence))),
      sum('To pay', pounds(choice.totalPence), true),
    ],
    [WIDTH * 0.7, WIDTH * 0.3],
  );
  page.paragraph(choice.operatorWords);
  for (const { name, pence, missing } of choice.help)
    page.paragraph(
      `${name} may pay ${pounds(pence)} of it.${missing.length > 0 ? ` Needed for that: ${missing.join('; ')}.` : ''}`,
    );
  for (const stage of choice.stages)
    page.paragraph(
      `Step: ${stage.name}${stage.when === '' ? '' : `, planned for ${dated(stage.when)}`}. ${stage.settings.join('; ')}. ${stage.operator} ${pounds(stage.totalPence)}.`,
    );
}
