/** What a browser has and jsdom has not. */
import { TextDecoder, TextEncoder } from 'node:util';
import { webcrypto } from 'node:crypto';

globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;

if (typeof window !== 'undefined') {
  // What is asked for late is compiled when it is first asked for, which takes seconds on a busy machine.
  require('@testing-library/dom').configure({ asyncUtilTimeout: 30_000 });
  globalThis.structuredClone ??= (value) => JSON.parse(JSON.stringify(value));
  if (!globalThis.crypto?.randomUUID) Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
  // Nothing is laid out in jsdom, so nothing changes its size and everything is in view.
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  globalThis.CSS ??= { escape: (text) => text.replace(/["\\]/g, '\\$&') };
  globalThis.CSS.escape ??= (text) => text.replace(/["\\]/g, '\\$&');
  window.matchMedia ??= (query) => ({
    matches: false,
    media: query,
    addEventListener() {},
    removeEventListener() {},
  });
  AbortSignal.timeout ??= () => new AbortController().signal;
  window.scrollTo = () => {};
  Element.prototype.scrollIntoView ??= () => {};
}
