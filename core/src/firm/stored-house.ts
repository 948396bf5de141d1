import type { HouseRules } from './operator-rules';

type Stored = Readonly<Record<string, unknown>>;

/** Called packs before packs were the signed documents alone: the default and each area named a `packId`. */
function namesRules({ defaultPackId, areas, ...rest }: Stored): Stored {
  return {
    ...rest,
    ...(defaultPackId === undefined ? {} : { defaultRulesId: defaultPackId }),
    areas: (Array.isArray(areas) ? (areas as Stored[]) : []).map(({ packId, ...area }) =>
      packId === undefined ? area : { ...area, rulesId: packId },
    ),
  };
}

/** Steps from every former form, oldest first; each leaves what is newer than it as it is. */
const STEPS: readonly ((stored: Stored) => Stored)[] = [namesRules];

/** House rules as they were stored, in the form of today. They were checked when they were stored. */
export function openHouse(stored: unknown): HouseRules {
  return STEPS.reduce<Stored>((made, step) => step(made), stored as Stored) as unknown as HouseRules;
}
