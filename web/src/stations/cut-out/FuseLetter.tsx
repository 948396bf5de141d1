import { fuseRatingLetter } from '@keen-gauge/core/pack/fuse-letter';
import { Mail } from 'lucide-react';
import { useState } from 'react';
import { jobNumber } from '../../api/jobs';
import { Button } from '../../kit/Button';
import { LetterView } from '../../kit/LetterView';
import { Stack } from '../../kit/Panel';
import { Sheet } from '../../kit/Sheet';
import { useSurvey } from '../../survey/SurveyContext';

/** The question to the operator, written from the survey and ready to send; nothing is sent from here. */
export function FuseLetter() {
  const { survey, assessment, me, job } = useSurvey();
  const [open, setOpen] = useState(false);
  const letter = fuseRatingLetter(survey, assessment, me, jobNumber(job.number));
  return (
    <>
      <div>
        <Button
          onPress={() => {
            setOpen(true);
          }}
        >
          <Mail size={18} aria-hidden /> Ask the operator for the fuse rating
        </Button>
      </div>
      <Sheet
        title="To the operator"
        isOpen={open}
        onClose={() => {
          setOpen(false);
        }}
      >
        <Stack>
          <p className="quiet">Written from what is recorded. Send it with the photographs it names.</p>
          <LetterView letter={letter} fileName={`${jobNumber(job.number)}-fuse-rating`} />
        </Stack>
      </Sheet>
    </>
  );
}
