/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { Scheme } from '@keen-gauge/core/schemes/scheme';
import { atSurvey, choose, pick, press, region, type } from '../../testing/at-survey';
import { priced, pricesAnswer } from '../../testing/priced';

const scheme: Scheme = {
  ...new Scheme(),
  id: 'help',
  name: 'Help for homes',
  who: ['owner'],
  offStreet: true,
  outletCapPence: 20000,
  evidence: [{ id: 'parking', text: 'Proof of parking' }],
};
const at = (schemes: readonly Scheme[] = []) =>
  atSurvey('works', { changes: [priced], answers: { ...pricesAnswer(), '/firm/schemes': { schemes } } });

describe('work on site', () => {
  it('a section of the route says what it is fixed to, and takes something else', async () => {
    const { survey } = await at();
    press(/Section 1: 10 m/);
    pick('Fixed to', 'Stone', region(/Section 1/));
    type('Height above the floor', '3', region(/Section 1/));
    expect(survey().proposals[0]?.circuit?.segments?.[0]).toMatchObject({ fixedTo: 'stone', heightM: 3 });
  });

  it('walls and rooms are added and taken away', async () => {
    const { survey } = await at();
    press('Add a wall');
    type('Thickness', '450', region('Wall 1'));
    press('Add a room or place');
    type('Room or place', 'Hall', region('Place 1'));
    press('Furniture moved and put back');
    expect(survey().works).toMatchObject({
      drillings: [{ thicknessMm: 450 }],
      rooms: [{ room: 'Hall', disrupts: ['furniture'] }],
    });
    press('Remove wall 1');
    press('Remove Hall');
    expect(survey().works).toMatchObject({ drillings: [], rooms: [] });
  });

  it('says which scheme is met, what is missing, and the sum', async () => {
    const { survey } = await at([scheme]);
    const here = await screen.findByRole('region', { name: 'Help for homes' });
    expect(within(here).getByText('Not known yet')).toBeTruthy();
    pick('Who asks for money help?', 'Owner who lives there');
    choose('Is there parking of their own, off the street?', 'Yes');
    expect(within(here).getByText('Met')).toBeTruthy();
    expect(within(here).getByText('£200.00')).toBeTruthy();
    choose('Proof of parking', 'There');
    expect(survey().help?.evidence).toEqual([{ id: 'help-parking', there: true }]);
  });
});
