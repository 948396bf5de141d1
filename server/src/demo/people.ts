/** The made-up firm that tries the application out, and the people in it. */
export const DEMO_FIRM = { name: 'Fennel Lane Electrical', rulesId: 'gb-default' } as const;

export const DEMO_PASSWORD = 'keen-gauge-demo';

export interface DemoPerson {
  readonly email: string;
  readonly name: string;
  readonly role: 'surveyor' | 'office' | 'supervisor';
  readonly maySignOff: boolean;
  readonly registration: string;
}

export const DEMO_PEOPLE = [
  {
    email: 'maren@fennel.example',
    name: 'Maren Oakhanger',
    role: 'supervisor',
    maySignOff: true,
    registration: 'FLE-QS-001',
  },
  {
    email: 'tobin@fennel.example',
    name: 'Tobin Farrowby',
    role: 'surveyor',
    maySignOff: true,
    registration: 'FLE-SV-014',
  },
  { email: 'isla@fennel.example', name: 'Isla Quenby', role: 'surveyor', maySignOff: false, registration: '' },
  { email: 'piers@fennel.example', name: 'Piers Wexcombe', role: 'office', maySignOff: false, registration: '' },
] as const satisfies readonly DemoPerson[];

/** Where the demo firm is answered: an address and numbers that belong to nobody. */
export const DEMO_CONTACT = {
  address: 'Unit 4, Tenter Yard, Fennelby ZZ9 4TY',
  telephone: '01632 960 440',
  email: 'office@fennel.example',
} as const;
