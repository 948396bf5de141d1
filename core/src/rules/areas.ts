/** The areas meter point numbers are given out in, by the first two digits of the core. Source: public allocation of numbers. */
export const AREAS: Readonly<Record<string, string>> = {
  '10': 'Eastern England',
  '11': 'East Midlands',
  '12': 'London',
  '13': 'Merseyside and North Wales',
  '14': 'West Midlands',
  '15': 'North East England',
  '16': 'North West England',
  '17': 'North Scotland',
  '18': 'South Scotland',
  '19': 'South East England',
  '20': 'Southern England',
  '21': 'South Wales',
  '22': 'South West England',
  '23': 'Yorkshire',
};

/** What an area is called. Codes above those of the regions are networks of their own; 95 to 99 nobody holds. */
export function areaName(code: string): string {
  const region = AREAS[code];
  if (region !== undefined) return region;
  if (Number(code) >= 95) return 'a number for trying out, held by nobody';
  return Number(code) >= 24 ? 'an independent network, not a region' : 'no area known here';
}
