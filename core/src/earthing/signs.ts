import type { EarthingSign } from '../survey/words/earthing-words';
import type { Earthing } from '../survey/earthing';
import type { Arrangement } from '../survey/words/words';

export type KnownArrangement = Exclude<Arrangement, 'unknown'>;

interface SignMeaning {
  readonly name: string;
  readonly pointsTo: KnownArrangement;
  /** The conductor itself was followed; the others are only told by what stands about it. */
  readonly strong: boolean;
}

/** What each sign looks like and what it points to. */
export const EARTHING_SIGN_MEANINGS: Readonly<Record<EarthingSign, SignMeaning>> = {
  'conductor-to-neutral-block': {
    name: 'The earthing conductor goes to the neutral block of the cut-out',
    pointsTo: 'tn-c-s',
    strong: true,
  },
  'conductor-to-sheath-or-armour': {
    name: 'The earthing conductor goes to the sheath or armour of the service cable',
    pointsTo: 'tn-s',
    strong: true,
  },
  'conductor-to-rod': {
    name: 'The earthing conductor goes to a rod, plate or tape in the ground, and nowhere else',
    pointsTo: 'tt',
    strong: true,
  },
  'label-says-pme': { name: 'A label says PME', pointsTo: 'tn-c-s', strong: false },
  'overhead-lines': { name: 'The supply comes on overhead lines', pointsTo: 'tt', strong: false },
  'rcd-at-origin': { name: 'An RCD at the origin protects everything', pointsTo: 'tt', strong: false },
};

/** What each arrangement is mistaken for, and how to tell. */
export const MISTAKEN_FOR: Readonly<Record<KnownArrangement, string>> = {
  'tn-c-s':
    'Mistaken for TN-S where the link to the neutral is inside the cut-out, out of sight. A low Ze is a hint, not proof; a PME label or the operator’s word is.',
  'tn-s':
    'Mistaken for TN-C-S when a block beside the cut-out hides that its conductor comes off the sheath. A sheath clamp may also be left from before the supply was changed: follow the conductor.',
  tt: 'Mistaken for TN where a bonded metal pipe gives a low loop reading. A rod beside a PME terminal does not make it TT: look where else the conductor goes.',
};

/** What the signs recorded point to, and whether they contradict each other. */
export interface Recognition {
  readonly pointsTo: KnownArrangement | null;
  /** True once the conductor itself was followed. */
  readonly sure: boolean;
  readonly contradicts: boolean;
}

/** The arrangement that the signs point to: followed conductors count, what stands about them only suggests. */
export function recognise(earthing: Earthing): Recognition {
  const seen = (earthing.signs ?? [])
    .filter(({ answer }) => answer === 'yes')
    .map(({ id }) => EARTHING_SIGN_MEANINGS[id]);
  const strong = new Set(seen.filter((sign) => sign.strong).map(({ pointsTo }) => pointsTo));
  const weak = new Set(seen.filter((sign) => !sign.strong).map(({ pointsTo }) => pointsTo));
  const [first] = strong;
  if (first !== undefined)
    // A rod as well as the supply's own earth is an additional electrode, which PME allows.
    return {
      pointsTo: strong.has('tn-c-s') ? 'tn-c-s' : first,
      sure: true,
      contradicts: strong.has('tn-s') && strong.size > 1,
    };
  const [likely] = weak;
  return { pointsTo: weak.size === 1 && likely ? likely : null, sure: false, contradicts: weak.size > 1 };
}
