import { given, Reader, whenTyped, type ReadText, type SeasonInput } from '@wheat-ledger/contract';
import { CROP_LIBRARY, formatGiven, parseNumber, parseQuantity, typedNumber, type FedUntil } from '@wheat-ledger/core';

/** A season as a person types it. */
export interface SeasonText {
  /** A key of the library, or the id of an own crop. */
  crop: string;
  from: string;
  to: string;
  share: string;
  /** 'end', or when feeding stops. */
  fedUntil: string;
  /** kg/ha; the crop's own when blank. */
  nitrogenKgPerHa: string;
  note: string;
}

export const blankSeason = (today: string): SeasonText => ({
  crop: 'wheat',
  from: today,
  to: '',
  share: 'all',
  fedUntil: 'end',
  nitrogenKgPerHa: '',
  note: '',
});

const WORDS: Readonly<Record<string, number>> = { '': 1, all: 1, whole: 1, half: 0.5, third: 1 / 3, quarter: 0.25 };

/** A share of a plot in words. @example shareWords(0.5) // 'half' */
export const shareWords = (share: number): string =>
  share === 1 ? 'all' : share === 0.5 ? 'half' : `${formatGiven(Number((100 * share).toPrecision(4)))} %`;

/** A share of a plot: "all", "half", "40 %", "1/3", or so many m² of it. */
export function readShare(read: Reader, path: string, text: string, areaM2: number): number | undefined {
  const typed = text.trim().toLowerCase();
  const word = WORDS[typed];
  if (word !== undefined) return word;
  const area = parseQuantity(typed, 'area');
  const percent = parseQuantity(typed, 'fraction');
  const plain = parseNumber(typed);
  const share = area.ok
    ? (area.value * area.unit.factor) / areaM2
    : percent.ok
      ? percent.value * percent.unit.factor
      : plain.ok
        ? plain.value
        : undefined;
  return share !== undefined && share > 0 && share <= 1
    ? share
    : read.refuse(
        path,
        `Read “${text.trim()}”, expected all, half, 40 %, 1/3 or so many m² of the plot’s ${formatGiven(areaM2)}.`,
      );
}

export const seasonText = (s: SeasonInput): SeasonText => ({
  crop: s.cropId ?? s.crop ?? '',
  from: s.from,
  to: s.to ?? '',
  share: shareWords(s.share),
  fedUntil: s.fedUntil ?? 'end',
  nitrogenKgPerHa: typedNumber(s.nitrogenKgPerHa),
  note: s.note,
});

const inLibrary = new Set(CROP_LIBRARY.map((c) => c.key));

export function readSeason(
  text: SeasonText,
  plot: { readonly id: string; readonly areaM2: number },
): ReadText & { readonly plain: SeasonInput } {
  const read = new Reader();
  const plain: SeasonInput = {
    plotId: plot.id,
    ...(inLibrary.has(text.crop) ? { crop: text.crop } : { cropId: text.crop }),
    from: read.day('from', text.from) ?? '',
    ...given(
      'to',
      whenTyped(text.to, () => read.day('to', text.to)),
    ),
    share: readShare(read, 'share', text.share, plot.areaM2) ?? 1,
    ...given('fedUntil', text.fedUntil === 'end' ? undefined : (text.fedUntil as FedUntil)),
    ...given(
      'nitrogenKgPerHa',
      whenTyped(text.nitrogenKgPerHa, () => read.number('nitrogenKgPerHa', text.nitrogenKgPerHa)),
    ),
    note: text.note.trim(),
  };
  return { plain, problems: read.problems };
}
