/** What no document can show: control characters, and what XML does not allow. New lines and tabs are not among them. */
const NOT_PRINTED = /(?![\n\t\r])\p{Cc}|\p{Cs}|[\ufffe\uffff]/gu;

/** A text as a document may have it: without what came along in pasting and cannot be shown, which breaks drawings and pages. */
export function printable(text: string): string {
  return text.replace(NOT_PRINTED, '');
}

/** As `printable`, on one line: new lines and tabs become spaces. */
export function onOneLine(text: string): string {
  return printable(text)
    .replace(/[\s\u2028\u2029]+/g, ' ')
    .trim();
}
