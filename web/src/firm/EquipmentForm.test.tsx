/** @jest-environment jsdom */
import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { EquipmentForm } from './EquipmentForm';

let saved: EquipmentProfile[] = [];
function Written({ start }: { readonly start: EquipmentProfile }) {
  const [draft, setDraft] = useState(start);
  return (
    <EquipmentForm
      draft={draft}
      onChange={setDraft}
      onSave={(profile) => {
        saved = [...saved, profile];
      }}
      onLeave={() => undefined}
    />
  );
}

beforeEach(() => {
  saved = [];
});

const press = (name: string | RegExp, within_: HTMLElement = document.body): void => {
  fireEvent.click(within(within_).getByRole('button', { name }));
};

describe('equipment being written', () => {
  it('keeps what a site asks of it: surfaces ticked, the lead’s length, and what its terminals take', () => {
    render(<Written start={{ id: 'own', name: 'Own charger' }} />);
    fireEvent.click(screen.getByText('Use and network'));
    fireEvent.click(screen.getByRole('radio', { name: 'Tethered lead' }));
    const lead = screen.getByLabelText('Length of its lead');
    fireEvent.change(lead, { target: { value: '7.5' } });
    fireEvent.blur(lead);
    fireEvent.click(screen.getByText('Where it may hang'));
    const surfaces = screen.getByRole('group', { name: 'May be fixed to' });
    fireEvent.click(within(surfaces).getByRole('checkbox', { name: /timber/i }));
    fireEvent.click(within(surfaces).getByRole('checkbox', { name: /brick/i }));
    fireEvent.click(screen.getByText('For whoever fits it'));
    const torque = screen.getByLabelText('Torque of its terminals');
    fireEvent.change(torque, { target: { value: '2.2' } });
    fireEvent.blur(torque);
    press('Save');
    expect(saved).toEqual([
      {
        id: 'own',
        name: 'Own charger',
        outlet: 'tethered',
        leadM: 7.5,
        fixesTo: ['brick', 'timber'],
        torqueNm: 2.2,
      },
    ]);
  });
  it('surfaces all taken off again are not known, and not none', () => {
    render(<Written start={{ id: 'own', name: 'Own charger', fixesTo: ['brick'] }} />);
    fireEvent.click(screen.getByText('Where it may hang'));
    fireEvent.click(screen.getByRole('checkbox', { name: /brick/i }));
    press('Save');
    expect(saved[0]).toEqual({ id: 'own', name: 'Own charger' });
  });
  it('is not saved while a list of amperes cannot be read', () => {
    render(<Written start={{ id: 'own', name: 'Own charger' }} />);
    const steps = screen.getByLabelText('Settings');
    fireEvent.change(steps, { target: { value: '6, ten' } });
    expect(screen.getByRole('button', { name: 'Save' })).toHaveProperty('disabled', true);
    fireEvent.change(steps, { target: { value: '6, 10' } });
    press('Save');
    expect(saved[0]?.stepsA).toEqual([6, 10]);
  });
});
