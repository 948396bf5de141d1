import type { Photo } from '@keen-gauge/core/survey/photo';
import { call } from './client';

export const filePhoto = (
  jobId: string,
  id: string,
  about: Pick<Photo, 'fileName' | 'subject' | 'subjectId' | 'caption'> & { readonly fromCustomer?: boolean },
): Promise<{ photo: Photo; known: boolean }> => call('POST', `/jobs/${jobId}/photos/${id}`, about, 90_000);

export const fullUrl = (jobId: string, id: string): string => `/api/jobs/${jobId}/photos/${id}/full.jpg`;
export const thumbUrl = (jobId: string, id: string): string => `/api/jobs/${jobId}/photos/${id}/thumb.jpg`;
export const zipUrl = (jobId: string): string => `/api/jobs/${jobId}/photos/all.zip`;
