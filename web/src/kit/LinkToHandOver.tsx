import { Copy } from 'lucide-react';
import { useState } from 'react';
import { Button } from './Button';
import { Notice } from './Notice';

/** A link that is shown this once, to be handed over by whoever made it. */
export function LinkToHandOver({
  address,
  forWhom,
  lasts = false,
}: {
  readonly address: string;
  readonly forWhom: string;
  /** It can be opened as often as wanted until its day. */
  readonly lasts?: boolean;
}) {
  const [isCopied, setCopied] = useState(false);
  return (
    <Notice kind="note" title={`The link for ${forWhom}, shown this once:`}>
      <span className="figures" style={{ overflowWrap: 'anywhere', display: 'block', margin: '0.3rem 0 0.5rem' }}>
        {address}
      </span>
      <Button
        onPress={() => {
          void navigator.clipboard.writeText(address).then(() => {
            setCopied(true);
          });
        }}
      >
        <Copy size={18} aria-hidden /> {isCopied ? 'Copied' : 'Copy the link'}
      </Button>
      <p>{lasts ? 'Give it to nobody else.' : 'It works once. Give it to nobody else.'}</p>
    </Notice>
  );
}
