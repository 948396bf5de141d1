import type { Photo } from '../survey/photo';
import type { Survey } from '../survey/survey';

/** A photograph that shows the crew something. */
export interface PhotoRef {
  readonly id: string;
  readonly caption: string;
}

/** Photographs of the equipment’s place and of the supply first, then the others; at most as many as a sheet shows. */
export function crewPhotos({ photos }: Pick<Survey, 'photos'>, most = 6): PhotoRef[] {
  const weight = ({ subject }: Photo): number =>
    subject === 'proposal' ? 0 : subject === 'node' ? 1 : subject === 'fault' ? 2 : 3;
  return [...photos]
    .sort((a, b) => weight(a) - weight(b))
    .slice(0, most)
    .map(({ id, caption }) => ({ id, caption: caption ?? '' }));
}
