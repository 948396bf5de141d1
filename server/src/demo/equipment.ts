import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';

/** Chargers the demo firm fits most, by makers nobody has heard of. */
export const DEMO_EQUIPMENT: readonly Omit<EquipmentProfile, 'id'>[] = [
  {
    name: 'Brindle post, 32 A, wired clamp',
    makeAndModel: 'Brindle Post 7',
    ratedA: 32,
    phases: 1,
    stepsA: [6, 10, 13, 16, 20, 25, 32],
    clamps: ['wired'],
    failSafesA: [0, 6, 10],
    rcdType: 'A',
    dcDetection: 'yes',
    penDetection: 'voltage-window',
    typeTested: 'yes',
    registerReference: 'TT-20417',
    canExport: 'no',
  },
  {
    name: 'Brindle wall, 32 A, wireless clamp',
    makeAndModel: 'Brindle Wall 7',
    ratedA: 32,
    phases: 1,
    stepsA: [6, 10, 16, 20, 25, 32],
    clamps: ['wireless'],
    failSafesA: [0, 6],
    rcdType: 'A',
    dcDetection: 'yes',
    penDetection: 'voltage-window',
    typeTested: 'yes',
    registerReference: 'TT-20418',
    canExport: 'no',
  },
];
