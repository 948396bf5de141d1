import type { PackContent, SignedBy } from '@keen-gauge/core/pack/compose';
import { figureText } from '@keen-gauge/core/pack/rows';
import { SIGNATURE_FIELD, strokePath, type Signature } from '@keen-gauge/core/pack/signature';
import { setImmediate } from 'node:timers/promises';
import { frontOn } from './front';
import { drawLineupOn } from './lineup';
import { photosOn, type PrintedPicture } from './photos';
import { Page, WIDTH } from './page';

export interface PackLabel {
  readonly number: string;
  readonly job: string;
  /** SHA-256 of the survey’s JSON as it is downloaded. */
  readonly fingerprint: string;
}

const dated = (iso: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeStyle: 'short', timeZone: 'Europe/London' }).format(
    new Date(iso),
  );

/** The pack as a tagged A4 PDF: the operator’s sections, what is missing, declarations and signature, workings annexed. */
export async function packPdf(
  content: PackContent,
  signedBy: SignedBy,
  label: PackLabel,
  pictures: ReadonlyMap<string, PrintedPicture>,
): Promise<Buffer> {
  const page = new Page({
    title: `${content.title}, ${label.number}`,
    author: signedBy.firm,
    subject: content.purpose,
    at: signedBy.at,
  });
  page.heading(1, content.title);
  page.paragraph(`Pack ${label.number} · job ${label.job} · signed ${dated(signedBy.at)}`, { quiet: true });
  page.paragraph(content.purpose, { face: 'bold' });
  frontOn(page, content);
  for (const { title, rows } of content.sections) {
    await setImmediate();
    page.heading(2, title);
    page.table(
      rows.map(({ label: name, value, note }) => [
        { text: name, style: { quiet: true } },
        { text: value, style: { face: 'bold' as const } },
        { text: note ?? '', style: { quiet: true, size: 9 } },
      ]),
      [WIDTH * 0.28, WIDTH * 0.38, WIDTH * 0.34],
    );
  }
  if (content.changed) {
    page.heading(2, `Changed since ${content.changed.since}`);
    if (content.changed.lines.length === 0) page.paragraph('Nothing this document says.');
    page.table(
      content.changed.lines.map(({ section, label: name, was, is }) => [
        { text: `${section}: ${name}`, style: { quiet: true } },
        { text: is ?? 'said no more', style: { face: 'bold' as const } },
        { text: was === undefined ? 'not recorded before' : `was: ${was}`, style: { quiet: true, size: 9 } },
      ]),
      [WIDTH * 0.28, WIDTH * 0.38, WIDTH * 0.34],
    );
  }
  if (content.lineup.rows.length > 0) {
    page.heading(2, 'Supply line-up, from the street');
    drawLineupOn(page, content.lineup);
  }
  if (content.photos.length > 0) {
    page.heading(2, 'Photographs');
    await photosOn(page, content.photos, pictures);
  }
  if (content.missing.length > 0) {
    page.heading(2, 'Not known when signed');
    for (const { text } of content.missing) page.paragraph(`• ${text}`);
    if (signedBy.reason) page.paragraph(`Signed all the same because: ${signedBy.reason}`, { face: 'bold' });
  }
  page.heading(2, 'Declarations');
  for (const text of content.declarations) page.paragraph(`• ${text}`);
  page.paragraph(
    'Made in support of a competent person’s judgement. National wiring rules, the operator’s requirements and the makers’ instructions come first.',
    { quiet: true, size: 9 },
  );
  page.paragraph(
    `Signed: ${signedBy.name}, ${signedBy.firm}${signedBy.registration ? `, ${signedBy.registration}` : ''}, ${dated(signedBy.at)}${signedBy.onDeviceAt ? ` (on site without a connection, ${dated(signedBy.onDeviceAt)})` : ''}`,
    {
      face: 'bold',
    },
  );
  if (content.signature) signatureOn(page, content.signature, signedBy.name);
  page.heading(2, 'Annex: working');
  for (const figure of content.workings) {
    await setImmediate();
    page.paragraph(`${figure.label}: ${figureText(figure)}`, { face: 'bold' });
    if (figure.working.length > 0)
      page.table(
        figure.working.map(({ label: name, expression, substituted, source }) => [
          { text: name, style: { size: 8.5 } },
          { text: source ? `${expression} (${source})` : expression, style: { size: 8.5, quiet: true } },
          { text: substituted, style: { face: 'mono' as const, size: 8 } },
        ]),
        [WIDTH * 0.24, WIDTH * 0.36, WIDTH * 0.4],
      );
  }
  return page.finish(
    (at, of) => `Pack ${label.number} · page ${at} of ${of} · fingerprint ${label.fingerprint.slice(0, 16)}`,
  );
}

const SIGNATURE_WIDTH = 180;

/** The signature as it was drawn, or the name as it was typed. */
function signatureOn(page: Page, { kind, name, strokes = [] }: Signature, signer: string): void {
  if (kind === 'typed') {
    page.paragraph(`Signature, typed: ${name ?? ''}`);
    return;
  }
  const scale = SIGNATURE_WIDTH / SIGNATURE_FIELD.width;
  page.drawn(SIGNATURE_FIELD.height * scale + 6, `Signature of ${signer}, drawn by hand`, (doc) => {
    doc.scale(scale).lineWidth(3).lineCap('round').lineJoin('round').strokeColor('#17212b');
    for (const stroke of strokes) if (stroke.length > 1) doc.path(strokePath(stroke)).stroke();
  });
}
