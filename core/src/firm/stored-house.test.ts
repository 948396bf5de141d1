import { openHouse } from './stored-house';

describe('house rules as they were stored', () => {
  it('of the time when rules were called packs', () => {
    expect(
      openHouse({ defaultPackId: 'gb-default', alwaysAsk: true, areas: [{ area: '97', packId: 'hill' }] }),
    ).toEqual({ defaultRulesId: 'gb-default', alwaysAsk: true, areas: [{ area: '97', rulesId: 'hill' }] });
  });
  it('of today stay as they are, opened once or twice', () => {
    const now = { defaultRulesId: 'hill', areas: [{ area: '95', rulesId: 'gb-always-ask' }] };
    expect(openHouse(now)).toEqual(now);
    expect(openHouse(openHouse(now))).toEqual(now);
  });
});
