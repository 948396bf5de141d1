import type { Letter } from '@keen-gauge/core/pack/fuse-letter';
import { Copy, FileDown, Mail } from 'lucide-react';
import { useState } from 'react';
import { Button, ButtonLink } from './Button';
import { Row, Stack } from './Panel';
import { TextInput } from './TextInput';

/** A letter to be sent by whoever reads it: copied, saved or opened in their own mail. Nothing is sent from here. */
export function LetterView({ letter, fileName }: { readonly letter: Letter; readonly fileName: string }) {
  const [copied, setCopied] = useState<'no' | 'yes' | 'refused'>('no');
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
    <Stack>
      <TextInput label="Subject" value={letter.subject} onChange={() => undefined} isReadOnly />
      <TextInput label="Message" value={letter.body} onChange={() => undefined} isReadOnly lines rows={20} />
      <Row>
        <Button onPress={() => void copy()}>
          <Copy size={18} aria-hidden /> Copy
        </Button>
        <ButtonLink href={`data:text/plain;charset=utf-8,${encodeURIComponent(text)}`} download={`${fileName}.txt`}>
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
  );
}
