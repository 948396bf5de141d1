/** @jest-environment jsdom */
import { isNewerThere } from './newer-version';

const page = (script: string): string =>
  `<!doctype html><html><head><script type="module" src="/assets/${script}.js"></script></head></html>`;
const running = new DOMParser().parseFromString(page('index-one'), 'text/html');

const answering = (answer: () => Promise<unknown>): void => {
  globalThis.fetch = answer as unknown as typeof fetch;
};
const given = (text: string, ok = true): void => {
  answering(() => Promise.resolve({ ok, text: () => Promise.resolve(text) }));
};

describe('whether a newer version is there', () => {
  it('is so where the page begins with another script', async () => {
    given(page('index-two'));
    expect(await isNewerThere(running)).toBe(true);
  });
  it('is not so for the same script, a page without one, a server in trouble, or no connection', async () => {
    given(page('index-one'));
    expect(await isNewerThere(running)).toBe(false);
    given('<html></html>');
    expect(await isNewerThere(running)).toBe(false);
    given(page('index-two'), false);
    expect(await isNewerThere(running)).toBe(false);
    answering(() => Promise.reject(new Error('no link')));
    expect(await isNewerThere(running)).toBe(false);
  });
});
