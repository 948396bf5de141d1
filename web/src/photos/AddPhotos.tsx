import type { PhotoSubject } from '@keen-gauge/core/survey/photo';
import { Camera, ImagePlus } from 'lucide-react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../kit/Button';
import { useSurvey } from '../survey/SurveyContext';

export const PICTURE_KINDS = ['image/jpeg', 'image/png', 'image/webp'];

/** Photographs straight from the camera, or chosen, several at once. */
export function AddPhotos({
  subject,
  subjectId,
  of,
}: {
  readonly subject?: PhotoSubject;
  readonly subjectId?: string;
  /** What they are to show, for those who hear the button. */
  readonly of: string;
}) {
  const { uploads } = useSurvey();
  const add = (files: FileList | null): void => {
    const about = { ...(subject === undefined ? {} : { subject }), ...(subjectId === undefined ? {} : { subjectId }) };
    void uploads.add([...(files ?? [])], about);
  };
  return (
    <>
      <FileTrigger acceptedFileTypes={PICTURE_KINDS} defaultCamera="environment" onSelect={add}>
        <Button aria-label={`Camera: ${of}`}>
          <Camera size={18} aria-hidden /> Camera
        </Button>
      </FileTrigger>
      {/* Any file may be chosen: one that is no picture is told so, and the rest still go in. */}
      <FileTrigger allowsMultiple onSelect={add}>
        <Button aria-label={`Choose photographs: ${of}`}>
          <ImagePlus size={18} aria-hidden /> Choose
        </Button>
      </FileTrigger>
    </>
  );
}

/** The camera alone, where one picture proves one answer. */
export function CameraButton({
  subject,
  subjectId,
  of,
}: {
  readonly subject: PhotoSubject;
  readonly subjectId?: string;
  readonly of: string;
}) {
  const { uploads, survey } = useSurvey();
  const taken = survey.photos.filter(
    (photo) => photo.subject === subject && (subjectId === undefined || photo.subjectId === subjectId),
  ).length;
  return (
    <FileTrigger
      acceptedFileTypes={PICTURE_KINDS}
      defaultCamera="environment"
      onSelect={(files) => {
        void uploads.add([...(files ?? [])], { subject, ...(subjectId === undefined ? {} : { subjectId }) });
      }}
    >
      <Button aria-label={`Camera: ${of}${taken === 0 ? '' : `; ${taken} taken`}`}>
        <Camera size={20} aria-hidden /> {taken === 0 ? '' : taken}
      </Button>
    </FileTrigger>
  );
}
