import { createWorker, OEM, type Worker as Reader } from 'tesseract.js';
import workerUrl from 'tesseract.js/dist/worker.min.js?url';
import coreUrl from 'tesseract.js-core/tesseract-core-simd-lstm.wasm.js?url';
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

/** The folder that holds the reader's data, which it looks for by its name. */
const dataFolder = dataUrl.replace(/\/[^/]*$/, '');

/** Letters are read best when a picture is about so wide, in dots. */
const WIDE = 1500;
const MOST_TIMES = 3;

/** A picture made as large as it is read best. */
async function enlarged(
  file: Blob,
): Promise<{ readonly picture: Blob; readonly width: number; readonly height: number }> {
  const picture = await createImageBitmap(file);
  const times = Math.min(MOST_TIMES, Math.max(1, WIDE / picture.width));
  const [width, height] = [Math.round(picture.width * times), Math.round(picture.height * times)];
  const canvas = new OffscreenCanvas(width, height);
  const pen = canvas.getContext('2d');
  if (pen) pen.imageSmoothingQuality = 'high';
  pen?.drawImage(picture, 0, 0, width, height);
  picture.close();
  return { picture: await canvas.convertToBlob({ type: 'image/png' }), width, height };
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
  const { picture, width, height } = await enlarged(file).catch(() => {
    throw new Error('This picture could not be opened: expected a PNG, JPEG or WebP.');
  });
  let reader: Reader | undefined;
  const stopped = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(new DOMException('Stopped.', 'AbortError')));
  });
  const work = async (): Promise<readonly PictureLine[]> => {
    reader = await createWorker('eng', OEM.LSTM_ONLY, {
      workerPath: workerUrl,
      corePath: coreUrl,
      langPath: dataFolder,
      workerBlobURL: false,
      cacheMethod: 'none',
      logger: ({ status, progress }) => {
        if (status === 'recognizing text') onShare(progress);
      },
    });
    if (signal.aborted) {
      // Called off while it was loaded: nobody else ends it.
      void reader.terminate();
      throw new DOMException('Stopped.', 'AbortError');
    }
    await reader.setParameters({ preserve_interword_spaces: '1' });
    const { data: page } = await reader.recognize(picture, {}, { blocks: true, text: false });
    const lines = (page.blocks ?? []).flatMap((b) => b.paragraphs.flatMap((p) => p.lines));
    return lines.map((line): PictureLine => {
      const { x0, y0, x1, y1 } = line.bbox;
      return {
        // A wide gap parts a name from its value; how wide says nothing more.
        text: line.text.trimEnd().replace(/ {4,}/g, '   '),
        box: { left: x0 / width, top: y0 / height, width: (x1 - x0) / width, height: (y1 - y0) / height },
        doubted: line.words.some((w) => DIGIT_LIKE.test(w.text) && w.confidence < SURE),
      };
    });
  };
  try {
    return await Promise.race([work(), stopped]);
  } finally {
    void reader?.terminate();
  }
}
