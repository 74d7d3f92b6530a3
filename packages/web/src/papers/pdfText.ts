import { getDocument, GlobalWorkerOptions } from 'pdfjs-dist';
import workerUrl from 'pdfjs-dist/build/pdf.worker.min.mjs?url';
import type { TextItem } from 'pdfjs-dist/types/src/display/api';

GlobalWorkerOptions.workerSrc = workerUrl;

const MOST_PAGES = 20;
interface Piece {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Pieces of a page in lines: those at one height, from the left, with a space for each width of a letter between. */
export function linesOfPieces(pieces: readonly Piece[]): readonly string[] {
  const lines: { y: number; readonly pieces: Piece[] }[] = [];
  for (const piece of [...pieces].sort((a, b) => b.y - a.y)) {
    const last = lines.at(-1);
    if (last && Math.abs(last.y - piece.y) <= Math.max(2, piece.height / 2)) last.pieces.push(piece);
    else lines.push({ y: piece.y, pieces: [piece] });
  }
  return lines.map(({ pieces: row }) => {
    let text = '';
    let end: number | undefined;
    for (const piece of [...row].sort((a, b) => a.x - b.x)) {
      const letter = piece.width / Math.max(1, piece.text.length) || 4;
      const gap = end === undefined ? 0 : Math.round((piece.x - end) / letter);
      text += `${' '.repeat(Math.max(0, gap))}${piece.text}`;
      end = piece.x + piece.width;
    }
    return text.trimEnd();
  });
}

const isText = (item: object): item is TextItem => 'str' in item;

/** The text of a PDF, line by line as it stands on its pages. @throws Error in words when there is none */
export async function pdfText(file: Blob, name: string): Promise<string> {
  const task = getDocument({
    data: new Uint8Array(await file.arrayBuffer()),
    isEvalSupported: false,
    useSystemFonts: true,
  });
  try {
    const pdf = await task.promise;
    const pages: string[] = [];
    for (let n = 1; n <= Math.min(pdf.numPages, MOST_PAGES); n++) {
      const page = await pdf.getPage(n);
      const { items } = await page.getTextContent();
      const pieces = items.filter(isText).flatMap((item): Piece[] => {
        const [, , , height = 0, x = 0, y = 0] = item.transform as readonly number[];
        return item.str.trim() === '' ? [] : [{ text: item.str, x, y, width: item.width, height: Math.abs(height) }];
      });
      pages.push(linesOfPieces(pieces).join('\n'));
    }
    const text = pages.join('\n\n').trim();
    if (text === '')
      throw new Error(`“${name}” has no text in it: it may be a picture. Save its page as an image and open that.`);
    return text;
  } catch (error) {
    if (error instanceof Error && error.message.startsWith('“')) throw error;
    throw new Error(`Read “${name}”, expected a PDF that is whole and open.`, { cause: error });
  } finally {
    void task.destroy();
  }
}
