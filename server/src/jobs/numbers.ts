/** How a job's number is written. */
export const jobNumber = (number: number): string => `KG-${String(number).padStart(4, '0')}`;

/** How a pack's number is written. */
export const packNumber = (number: number): string => `P-${String(number).padStart(4, '0')}`;
