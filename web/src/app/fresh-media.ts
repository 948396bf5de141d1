const AGAIN_MS = 250;

/** Has the browser read its style sheets anew, by a rule that is put in and taken out again. */
function readAnew(): void {
  for (const { sheet } of document.querySelectorAll('style')) {
    if (!sheet) continue;
    const at = sheet.insertRule('@media (max-width: 1px) { .nothing { color: inherit } }', sheet.cssRules.length);
    sheet.deleteRule(at);
  }
}

/**
 * Keeps the layout true to the width of the window. Chromium (seen in 156) goes on laying out by the width there was before where a part’s styles are
 * put in while the window changes it: a telephone turned round in the middle of going to a station had words in columns of a letter.
 */
export function keepMediaFresh(): void {
  let width = window.innerWidth;
  let later = 0;
  window.addEventListener('resize', () => {
    if (window.innerWidth === width) return;
    width = window.innerWidth;
    requestAnimationFrame(readAnew);
    clearTimeout(later);
    // Once more, when what was being put in is there.
    later = window.setTimeout(readAnew, AGAIN_MS);
  });
}
