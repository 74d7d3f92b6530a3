import { createWorker, OEM, type Worker as Reader } from 'tesseract.js';
import workerUrl from 'tesseract.js/dist/worker.min.js?url';
import coreUrl from 'tesseract.js-core/tesseract-core-lstm.wasm.js?url';
import dataUrl from '@tesseract.js-data/eng/4.0.0_best_int/eng.traineddata.gz?url';

/** Where a line stands in a picture, as shares of its width and height. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}
/** A line of a picture, and whether its numbers were clear. */
export interface PictureLine {
  readonly text: string;
  readonly box: Box;
  readonly doubted: boolean;
}

/** Below this share of certainty in a word with a digit, the line is asked about. */
const SURE = 80;
/** Letters that a picture often has for digits. */
const DIGIT_LIKE = /\d|%|\b[lIO|]\b/;

async function unpacked(url: string): Promise<Uint8Array> {
  const answer = await fetch(url);
  const bytes = await answer.arrayBuffer();
  // A server may have unpacked it on the way.
  if (new Uint8Array(bytes)[0] !== 0x1f) return new Uint8Array(bytes);
  const stream = new Blob([bytes]).stream().pipeThrough(new DecompressionStream('gzip'));
  return new Uint8Array(await new Response(stream).arrayBuffer());
}

const SIZE = { width: 0, height: 0 };
async function sizeOf(file: Blob): Promise<typeof SIZE> {
  const picture = await createImageBitmap(file);
  const size = { width: picture.width, height: picture.height };
  picture.close();
  return size;
}

/**
 * Reads the text of a picture, line by line, in a worker. The reader and its data are loaded when first asked for.
 * @param onShare how far it is, 0 to 1
 * @param signal ends it
 */
export async function pictureText(
  file: Blob,
  onShare: (share: number) => void,
  signal: AbortSignal,
): Promise<readonly PictureLine[]> {
  const { width, height } = await sizeOf(file).catch(() => {
    throw new Error('This picture could not be opened: expected a PNG, JPEG or WebP.');
  });
  let reader: Reader | undefined;
  const stopped = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(new DOMException('Stopped.', 'AbortError')));
  });
  const work = async (): Promise<readonly PictureLine[]> => {
    const data = await unpacked(dataUrl);
    reader = await createWorker([{ code: 'eng', data }] as never, OEM.LSTM_ONLY, {
      workerPath: workerUrl,
      corePath: coreUrl,
      workerBlobURL: false,
      cacheMethod: 'none',
      logger: ({ status, progress }) => {
        if (status === 'recognizing text') onShare(progress);
      },
    });
    if (signal.aborted) throw new DOMException('Stopped.', 'AbortError');
    await reader.setParameters({ preserve_interword_spaces: '1' });
    const { data: page } = await reader.recognize(file, {}, { blocks: true, text: false });
    const lines = (page.blocks ?? []).flatMap((b) => b.paragraphs.flatMap((p) => p.lines));
    return lines.map((line): PictureLine => {
      const { x0, y0, x1, y1 } = line.bbox;
      return {
        text: line.text.trimEnd(),
        box: { left: x0 / width, top: y0 / height, width: (x1 - x0) / width, height: (y1 - y0) / height },
        doubted: line.words.some((w) => DIGIT_LIKE.test(w.text) && w.confidence < SURE),
      };
    });
  };
  try {
    return await Promise.race([work(), stopped]);
  } finally {
    void (reader as Reader | undefined)?.terminate();
  }
}
