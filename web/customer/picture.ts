/** A picture made small enough to send, and what it looks like. */
export interface SmallPicture {
  readonly id: string;
  readonly type: string;
  readonly bytes: ArrayBuffer;
}

/** So that the small print of a label is still legible, and no more. */
const LONGEST_SIDE = 2000;
const QUALITY = 0.82;
const MOST_BYTES = 8_000_000;
const TAKEN_AS_IT_IS = ['image/jpeg', 'image/png', 'image/webp'];

/** An id by lot, where the browser has no function for it. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] || 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] || 0) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => `0${byte.toString(16)}`.slice(-2)).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}

/** How large a picture is sent: its longest side no longer than it needs to be, never enlarged. */
export function fitted(width: number, height: number): { readonly width: number; readonly height: number } {
  const share = Math.min(1, LONGEST_SIDE / Math.max(width, height));
  return { width: Math.round(width * share), height: Math.round(height * share) };
}

/** The picture in a file, shrunk on the device; null where this browser cannot read it and the server would not either. */
export async function shrunk(file: File): Promise<SmallPicture | null> {
  const small = await drawn(file).catch(() => null);
  const taken = small || (TAKEN_AS_IT_IS.indexOf(file.type) >= 0 ? file : null);
  if (!taken || taken.size === 0 || taken.size > MOST_BYTES) return null;
  return { id: newId(), type: taken.type, bytes: await bytesOf(taken) };
}

async function drawn(file: File): Promise<Blob | null> {
  const url = URL.createObjectURL(file);
  try {
    // An <img> is turned the way the camera was held, in every browser there is.
    const image = await new Promise<HTMLImageElement>((resolve, reject) => {
      const loading = new Image();
      loading.onload = () => {
        resolve(loading);
      };
      loading.onerror = () => {
        reject(new Error('no picture'));
      };
      loading.src = url;
    });
    const { width, height } = fitted(image.naturalWidth, image.naturalHeight);
    const canvas = document.createElement('canvas');
    canvas.width = width;
    canvas.height = height;
    const pen = canvas.getContext('2d');
    if (!pen) return null;
    pen.drawImage(image, 0, 0, width, height);
    return await new Promise<Blob | null>((resolve) => {
      canvas.toBlob(resolve, 'image/jpeg', QUALITY);
    });
  } finally {
    URL.revokeObjectURL(url);
  }
}

function bytesOf(blob: Blob): Promise<ArrayBuffer> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => {
      resolve(reader.result as ArrayBuffer);
    };
    reader.onerror = () => {
      reject(new Error('not read'));
    };
    reader.readAsArrayBuffer(blob);
  });
}
