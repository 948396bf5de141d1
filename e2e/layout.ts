import type { Page } from '@playwright/test';

/** What is wrong with how a page is laid out, each told with the words it happened to. */
export async function layoutFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const faults: string[] = [];
    const wide = document.documentElement.scrollWidth - document.documentElement.clientWidth;
    if (wide > 0) faults.push(`wider than the screen by ${wide} px`);

    const seen = (element: Element): boolean => {
      // What a part that is put away holds has boxes, and nobody sees them.
      if (!element.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true })) return false;
      // What is kept for those who hear the page takes one pixel.
      return element.closest('.unseen, [hidden], [aria-hidden="true"], svg') === null;
    };
    /** What is left of a box inside everything that cuts it off; null where nothing is. */
    const inView = (box: DOMRect, of: Element): DOMRect | null => {
      let { left, right, top, bottom } = box;
      for (let at: Element | null = of; at && at !== document.body; at = at.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(at);
        const edge = at.getBoundingClientRect();
        if (overflowX !== 'visible') [left, right] = [Math.max(left, edge.left), Math.min(right, edge.right)];
        if (overflowY !== 'visible') [top, bottom] = [Math.max(top, edge.top), Math.min(bottom, edge.bottom)];
      }
      return right - left > 1 && bottom - top > 1 ? new DOMRect(left, top, right - left, bottom - top) : null;
    };
    const shown = (text: string): string => text.replace(/\s+/g, ' ').trim().slice(0, 60);
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const range = document.createRange();
    const lines: { readonly box: DOMRect; readonly text: string; readonly of: Element }[] = [];
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const of = node.parentElement;
      const text = node.textContent ?? '';
      if (!of || text.trim() === '' || !seen(of)) continue;
      for (const { 0: word, index } of text.matchAll(/[\p{L}\p{N}]{2,}/gu)) {
        range.setStart(node, index);
        range.setEnd(node, index + word.length);
        const boxes = [...range.getClientRects()].filter(({ width, height }) => width > 0 && height > 0);
        const [first, ...more] = boxes;
        if (!first) continue;
        // A word as long as this is a code or an address, and may be broken.
        if (word.length < 24 && more.some(({ top }) => Math.abs(top - first.top) > 4))
          faults.push(`“${word}” is broken across lines in “${shown(text)}”`);
      }
      range.selectNodeContents(node);
      for (const whole of range.getClientRects()) {
        const box = inView(whole, of);
        if (box) lines.push({ box, text, of });
      }
    }
    // What is fixed or stuck lies over what scrolls beneath it, and is meant to; its own words do not lie on each other.
    const afloatIn = (element: Element): Element | null => {
      for (let at: Element | null = element; at; at = at.parentElement)
        if (['fixed', 'sticky'].includes(getComputedStyle(at).position)) return at;
      return null;
    };
    const placed = lines.map((line) => ({ ...line, afloat: afloatIn(line.of) }));
    for (const [at, one] of placed.entries())
      for (const other of placed.slice(at + 1)) {
        if (one.of === other.of || one.afloat !== other.afloat) continue;
        const across = Math.min(one.box.right, other.box.right) - Math.max(one.box.left, other.box.left);
        const down = Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top);
        // Boxes of lines are taller than their letters: they may touch.
        if (across > 3 && down > Math.min(one.box.height, other.box.height) * 0.45)
          faults.push(`“${shown(one.text)}” lies on “${shown(other.text)}”`);
      }
    // Rows of a file as it was filed, and documents, may be moved sideways; what the application says is not.
    if (window.innerWidth <= 480)
      for (const table of document.querySelectorAll('table')) {
        const place = table.parentElement;
        if (place && seen(table) && !table.closest('[role="region"]') && table.scrollWidth > place.clientWidth + 1)
          faults.push(`a table of “${shown(table.textContent)}” is wider than its place`);
      }
    if (window.innerWidth <= 480)
      for (const element of document.querySelectorAll(
        'button, input, select, textarea, label:has(input[type=radio])',
      )) {
        const { width, height } = element.getBoundingClientRect();
        const inLabel = element.tagName === 'INPUT' && element.closest('label') !== null;
        if (seen(element) && !inLabel && width > 0 && height > 10 && height < 43.5)
          faults.push(
            `“${shown(element.textContent || element.getAttribute('aria-label') || element.tagName)}” is ${Math.round(height)} px high`,
          );
      }
    return [...new Set(faults)];
  });
}
