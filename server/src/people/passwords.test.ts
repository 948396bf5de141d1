import { LEAST_CHARACTERS, MOST_CHARACTERS, passwordFault } from './passwords';

describe('a password', () => {
  it.each([
    ['eleven signs', 'kq7f2mzx9wp', /11 characters/],
    ['one of the commonest, long enough', 'password1234', /first that anybody/],
    ['a run of keys', 'qwertyuiopas', /first that anybody/],
    ['one sign over and over', 'aaaaaaaaaaaaaaaaaaaaaaaa', /first that anybody/],
    ['who somebody is', 'maren oakhanger', /first that anybody/],
    ['more than anybody types', 'x'.repeat(MOST_CHARACTERS + 1), /too long/],
  ])('is not %s', (_what, password, wrong) => {
    expect(passwordFault(password, ['Maren Oakhanger', 'maren@fennel.example'])).toMatch(wrong);
  });

  it.each([
    'a gate between two larches',
    'kettle-ninety-moss-otter',
    'vier Stufen zum Hahn',
    // No rule about which signs: small letters alone will do.
    'wqjxmvnbtrzp',
  ])('may be %s', (password) => {
    expect(passwordFault(password, ['Maren Oakhanger'])).toBeNull();
  });

  it('is counted by signs, not by what the machine makes of them', () => {
    expect(passwordFault('🦔🌧️🍞', [])).toMatch(/characters/);
    expect(LEAST_CHARACTERS).toBe(12);
  });
});
