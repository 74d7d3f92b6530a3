import { asTableFile, isSheet } from './sheets';
import type { Box } from './pictureText';
import { asPaper } from './tables';

/** A picture of a paper, with where its lines stand. */
export interface Picture {
  readonly url: string;
  readonly name: string;
  /** A box for each line of the text that has one, by line number from 1. */
  readonly boxes: Readonly<Record<number, Box>>;
}
/** A paper taken from a file. */
export interface PaperFile {
  readonly text: string;
  /** Numbers of lines whose digits were not clear. */
  readonly doubted: readonly number[];
  readonly picture: Picture | undefined;
}

/** What a file chooser for papers takes. */
export const PAPER_FILES =
  '.txt,.csv,.tsv,.xlsx,.pdf,image/png,image/jpeg,image/webp,text/plain,text/csv,application/pdf';
const MOST_BYTES = 20_000_000;
const MOST_TEXT_BYTES = 200_000;

const isPdf = (file: File): boolean => file.type === 'application/pdf' || /\.pdf$/i.test(file.name);
const isPicture = (file: File): boolean => file.type.startsWith('image/') || /\.(?:png|jpe?g|webp)$/i.test(file.name);
const isText = (file: File): boolean => file.type.startsWith('text/') || /\.(?:txt|csv|tsv)$/i.test(file.name);

const plain = (text: string): PaperFile => ({ text, doubted: [], picture: undefined });

/**
 * The text of a paper in a file: text, a table, a PDF, or a picture that is read.
 * @param onShare how far the reading of a picture is
 * @throws Error in words when the file cannot be read
 */
export async function readPaperFile(
  file: File,
  onShare: (share: number) => void,
  signal: AbortSignal,
): Promise<PaperFile> {
  if (file.size > MOST_BYTES)
    throw new Error(
      `Read “${file.name}” of ${Math.ceil(file.size / 1e6)} MB, expected at most ${MOST_BYTES / 1e6} MB.`,
    );
  if (isSheet(file)) return plain(asPaper(await (await asTableFile(file)).text()));
  if (isPdf(file)) {
    const { pdfText } = await import('./pdfText');
    return plain(await pdfText(file, file.name));
  }
  if (isPicture(file)) {
    const { pictureText } = await import('./pictureText');
    const lines = await pictureText(file, onShare, signal);
    return {
      text: lines.map((l) => l.text).join('\n'),
      doubted: lines.flatMap((l, i) => (l.doubted ? [i + 1] : [])),
      picture: {
        url: URL.createObjectURL(file),
        name: file.name,
        boxes: Object.fromEntries(lines.map((l, i) => [i + 1, l.box])),
      },
    };
  }
  if (!isText(file)) throw new Error(`Read “${file.name}”, expected text, CSV, XLSX, PDF or a picture.`);
  const text = file.size > MOST_TEXT_BYTES ? undefined : await file.text();
  if (text === undefined || /[\0\ufffd]/.test(text))
    throw new Error(`Read “${file.name}”, expected a CSV or text file of at most ${MOST_TEXT_BYTES / 1000} kB.`);
  return plain(/\.csv$/i.test(file.name) ? asPaper(text) : text);
}
