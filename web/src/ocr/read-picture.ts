import { agreedMeterPoints, readMeterPoints } from '@keen-gauge/core/route/read-meter-point';

/** How a picture is looked at: its longest side in pixels, and how its text is taken to stand (a block, or scattered). Three times, since only what two agree on is offered. */
export const LOOKS = [
  { side: 1600, pages: '6' },
  { side: 1100, pages: '6' },
  { side: 1100, pages: '11' },
] as const;

/** One look at a picture: its text, line by line. */
export type Look = (at: number) => Promise<string>;

/** The meter point numbers on a picture that two of the looks agree on and whose check digit holds. */
export async function meterPointsIn(
  look: Look,
  told: (share: number) => void,
  isOver: () => boolean,
): Promise<string[]> {
  const readings: string[][] = [];
  for (let at = 0; at < LOOKS.length; at += 1) {
    if (isOver()) return [];
    readings.push(readMeterPoints((await look(at)).split('\n')));
    told((at + 1) / LOOKS.length);
    const agreed = agreedMeterPoints(readings);
    if (agreed.length > 0) return agreed;
  }
  return agreedMeterPoints(readings);
}

/** Reads a picture on this device. Rejects where what reads cannot be fetched, or the picture cannot be opened. */
export async function readPicture(
  picture: Blob,
  told: (share: number) => void,
  isOver: () => boolean = () => false,
): Promise<string[]> {
  const image = await createImageBitmap(picture);
  const { createWorker, PSM } = await import('tesseract.js');
  const worker = await createWorker('eng', 1, {
    workerPath: '/ocr/worker.min.js',
    corePath: '/ocr/tesseract-core-simd-lstm.wasm.js',
    langPath: '/ocr',
    workerBlobURL: false,
    // Kept by the browser like everything else that is fetched, and not a second time.
    cacheMethod: 'none',
  });
  try {
    return await meterPointsIn(
      async (at) => {
        const { side, pages } = LOOKS[at] ?? LOOKS[0];
        await worker.setParameters({ tessedit_pageseg_mode: pages === '6' ? PSM.SINGLE_BLOCK : PSM.SPARSE_TEXT });
        const { data } = await worker.recognize(drawn(image, side), { rotateAuto: true });
        return data.text;
      },
      told,
      isOver,
    );
  } finally {
    image.close();
    await worker.terminate();
  }
}

function drawn(image: ImageBitmap, side: number): HTMLCanvasElement {
  const share = Math.min(1, side / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(image.width * share);
  canvas.height = Math.round(image.height * share);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}
