import { fuseRatingLetter } from '@keen-gauge/core/pack/fuse-letter';
import { Copy, FileDown, Mail } from 'lucide-react';
import { useState } from 'react';
import { jobNumber } from '../../api/jobs';
import { Button, ButtonLink } from '../../kit/Button';
import { Row, Stack } from '../../kit/Panel';
import { Sheet } from '../../kit/Sheet';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';

/** The question to the operator, written from the survey and ready to send; nothing is sent from here. */
export function FuseLetter() {
  const { survey, assessment, me, job } = useSurvey();
  const [open, setOpen] = useState(false);
  const [copied, setCopied] = useState<'no' | 'yes' | 'refused'>('no');
  const letter = fuseRatingLetter(survey, assessment, me, jobNumber(job.number));
  const text = `${letter.subject}\n\n${letter.body}`;
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(text);
      setCopied('yes');
    } catch {
      setCopied('refused');
    }
  };
  return (
    <>
      <div>
        <Button
          onPress={() => {
            setCopied('no');
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
          <TextInput label="Subject" value={letter.subject} onChange={() => undefined} isReadOnly />
          <TextInput label="Message" value={letter.body} onChange={() => undefined} isReadOnly lines rows={20} />
          <Row>
            <Button onPress={() => void copy()}>
              <Copy size={18} aria-hidden /> Copy
            </Button>
            <ButtonLink
              href={`data:text/plain;charset=utf-8,${encodeURIComponent(text)}`}
              download={`${jobNumber(job.number)}-fuse-rating.txt`}
            >
              <FileDown size={18} aria-hidden /> Save as text
            </ButtonLink>
            <ButtonLink
              href={`mailto:?subject=${encodeURIComponent(letter.subject)}&body=${encodeURIComponent(letter.body)}`}
            >
              <Mail size={18} aria-hidden /> Open in mail
            </ButtonLink>
          </Row>
          <p role="status" className="quiet">
            {copied === 'yes' && 'Copied.'}
            {copied === 'refused' && 'This browser does not let us copy: mark the text and copy it by hand.'}
          </p>
        </Stack>
      </Sheet>
    </>
  );
}
