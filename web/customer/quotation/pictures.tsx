import { useEffect, useState } from 'preact/hooks';
import { fetchPicture } from './server';

/** Pictures of the place, fetched when somebody wants to see them: the line may be slow. */
export function Pictures({
  token,
  pictures,
}: {
  readonly token: string;
  readonly pictures: readonly { readonly id: string; readonly caption: string }[];
}) {
  const [isOpen, setOpen] = useState(false);
  if (pictures.length === 0) return null;
  return (
    <details
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary>Pictures ({pictures.length})</summary>
      {isOpen && pictures.map(({ id, caption }) => <Picture key={id} token={token} id={id} caption={caption} />)}
    </details>
  );
}

function Picture({ token, id, caption }: { readonly token: string; readonly id: string; readonly caption: string }) {
  const [address, setAddress] = useState('');
  useEffect(() => {
    let made = '';
    fetchPicture(token, id).then(
      (picture) => {
        made = URL.createObjectURL(picture);
        setAddress(made);
      },
      () => undefined,
    );
    return () => {
      if (made !== '') URL.revokeObjectURL(made);
    };
  }, [token, id]);
  return (
    <figure>
      {address !== '' && <img src={address} alt={caption} />}
      <figcaption>{caption}</figcaption>
    </figure>
  );
}
