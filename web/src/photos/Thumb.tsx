import type { Photo } from '@keen-gauge/core/survey/photo';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { thumbUrl } from '../api/photos';
import { useSurvey } from '../survey/SurveyContext';
import { PhotoMarks } from './PhotoMarks';

const Face = styled(Button)`
  position: relative;
  padding: 0;
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  overflow: hidden;
  background: var(--raised);
  cursor: pointer;
  width: 100%;
  aspect-ratio: 4 / 3;
  &[data-hovered] {
    border-color: var(--ink);
  }
  & > img {
    width: 100%;
    height: 100%;
    object-fit: contain;
    display: block;
  }
`;

/** A photograph made small, with its marks; opens it large. */
export function Thumb({
  photo,
  number,
  onOpen,
}: {
  readonly photo: Photo;
  readonly number: number;
  readonly onOpen: () => void;
}) {
  const { job } = useSurvey();
  return (
    <Face onPress={onOpen} aria-label={`Open photograph ${number}: ${photo.caption ?? 'no caption'}`}>
      <img src={thumbUrl(job.id, photo.id)} alt="" loading="lazy" decoding="async" />
      <PhotoMarks photo={photo} />
    </Face>
  );
}
