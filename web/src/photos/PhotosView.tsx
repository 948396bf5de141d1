import { photoSubjectWords } from '@keen-gauge/core/pack/photos';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { DropZone } from 'react-aria-components';
import styled from 'styled-components';
import { zipUrl } from '../api/photos';
import { ButtonLink } from '../kit/Button';
import { Row, Stack } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';
import { AddPhotos } from './AddPhotos';
import { PhotoViewer } from './PhotoViewer';
import { takenWords } from './taken-words';
import { Thumb } from './Thumb';
import { UploadList } from './UploadList';

const Grid = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.9rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 13rem), 1fr));
`;

const Zone = styled(DropZone)`
  border: 2px dashed var(--line);
  border-radius: var(--corner);
  padding: 0.8rem;
  &[data-drop-target] {
    border-color: var(--accent);
    background: var(--raised);
  }
`;

/** All photographs of a job: what each shows, who took it and when; new ones come in here too. */
export default function PhotosView() {
  const { survey, job, uploads } = useSurvey();
  const [open, setOpen] = useState<string | null>(null);
  return (
    <Stack>
      <div>
        <h1 id="station-name" tabIndex={-1}>
          Photographs
        </h1>
        <p className="quiet">
          JPEG, PNG or WebP up to 25 MB. Kept on this device until the server has them; where they were taken is left
          out.
        </p>
      </div>
      <Zone
        aria-label="Drop pictures here"
        getDropOperation={() => 'copy'}
        onDrop={(event) => {
          const files = event.items.flatMap((item) => (item.kind === 'file' ? [item.getFile()] : []));
          void Promise.all(files).then((found) => uploads.add(found, {}));
        }}
      >
        <Row>
          <AddPhotos of="this job" />
          <span className="quiet">or drop files here</span>
          {survey.photos.length > 0 && (
            <ButtonLink href={zipUrl(job.id)} download style={{ marginLeft: 'auto' }}>
              <Download size={18} aria-hidden /> All as a zip
            </ButtonLink>
          )}
        </Row>
      </Zone>
      <UploadList />
      {survey.photos.length === 0 ? (
        <p className="quiet">None yet. Begin with the cut-out close up and the whole meter position.</p>
      ) : (
        <Grid>
          {survey.photos.map((photo, at) => (
            <li key={photo.id}>
              <Thumb
                photo={photo}
                number={at + 1}
                onOpen={() => {
                  setOpen(photo.id);
                }}
              />
              <div style={{ fontWeight: 600 }}>
                {at + 1}. {photo.caption ?? 'No caption'}
              </div>
              <div className="quiet" style={{ fontSize: '0.86rem' }}>
                {[photoSubjectWords(survey, photo), photo.takenBy, takenWords(photo.takenAt)]
                  .filter(Boolean)
                  .join(' · ')}
              </div>
            </li>
          ))}
        </Grid>
      )}
      <PhotoViewer
        photoId={open}
        among={survey.photos.map(({ id }) => id)}
        onGo={setOpen}
        onClose={() => {
          setOpen(null);
        }}
      />
    </Stack>
  );
}
