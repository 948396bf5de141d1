import { addressFor, operatorAddresses } from './addresses';

it('reads areas and addresses, and gives each area its own before the one for all', () => {
  const found = operatorAddresses('97=http://one.example/, *=https://all.example/in');
  expect(addressFor(found, '97')).toBe('http://one.example/');
  expect(addressFor(found, '10')).toBe('https://all.example/in');
  expect(addressFor(operatorAddresses(undefined), '97')).toBeUndefined();
  expect(addressFor(operatorAddresses('97=http://one.example/'), '')).toBeUndefined();
});

it.each(['97', '9=http://x.example', '97=file:///etc/passwd', '97=nonsense'])('refuses “%s”', (text) => {
  expect(() => operatorAddresses(text)).toThrow();
});
