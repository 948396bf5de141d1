/** The closed lists of words of a trial. */

/** What can go wrong with a managed charger in a trial. */
export const TRIAL_FAULTS = ['clamp-off', 'clamp-reversed', 'lag', 'link-lost', 'vehicle-slow'] as const;
export type TrialFault = (typeof TRIAL_FAULTS)[number];

export const TRIAL_FAULT_NAMES: Readonly<Record<TrialFault, string>> = {
  'clamp-off': 'Clamp off',
  'clamp-reversed': 'Clamp reversed',
  lag: 'Controller slow',
  'link-lost': 'Link lost',
  'vehicle-slow': 'Vehicle slow',
};

/** What the house's current is made from. */
export const TRIAL_SOURCES = ['habits', 'log'] as const;
export type TrialSource = (typeof TRIAL_SOURCES)[number];
