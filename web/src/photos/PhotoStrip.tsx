import type { PhotoSubject } from '@keen-gauge/core/survey/photo';
import { useState } from 'react';
import styled from 'styled-components';
import { Row, Stack } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';
import { AddPhotos } from './AddPhotos';
import { PhotoViewer } from './PhotoViewer';
import { Thumb } from './Thumb';

const Thumbs = styled.div`
  display: grid;
  gap: 0.4rem;
  grid-template-columns: repeat(auto-fill, minmax(6.2rem, 1fr));
`;

/** The photographs of one thing, where that thing is written down, and a way to take another. */
export function PhotoStrip({
  subject,
  subjectId,
  of,
}: {
  readonly subject: PhotoSubject;
  readonly subjectId?: string;
  readonly of: string;
}) {
  const { survey } = useSurvey();
  const [open, setOpen] = useState<string | null>(null);
  const shown = survey.photos
    .map((photo, at) => ({ photo, number: at + 1 }))
    .filter(({ photo }) => photo.subject === subject && (subjectId === undefined || photo.subjectId === subjectId));
  return (
    <Stack style={{ '--gap': '0.4rem' }} role="group" aria-label={`Photographs: ${of}`}>
      {shown.length > 0 && (
        <Thumbs>
          {shown.map(({ photo, number }) => (
            <Thumb
              key={photo.id}
              photo={photo}
              number={number}
              onOpen={() => {
                setOpen(photo.id);
              }}
            />
          ))}
        </Thumbs>
      )}
      <Row className="no-print" style={{ '--gap': '0.4rem' }}>
        <AddPhotos subject={subject} of={of} {...(subjectId === undefined ? {} : { subjectId })} />
      </Row>
      <PhotoViewer
        photoId={open}
        among={shown.map(({ photo }) => photo.id)}
        onGo={setOpen}
        onClose={() => {
          setOpen(null);
        }}
      />
    </Stack>
  );
}
