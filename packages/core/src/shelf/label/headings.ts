import {
  columnsOf,
  statesDry,
  subjectOf,
  tells,
  unitAmong,
  valuesIn,
  type Prepared,
  type Token,
} from '../../reading/index.js';
import type { Context } from './context.js';
import type { Read } from './reading.js';

/** Words for what a lab takes out with water or weak acid; a label's "available phosphate" is a guarantee and is not meant. */
const EXTRACT = ['q.extract', 'q.available'] as const;

/** A table's heading: its columns hold for the rows below. Where several beds stand side by side, one is chosen by a person. */
export function readTableHead(p: Prepared, context: Context): Read | undefined {
  const { tokens } = p;
  const columns = statesDry(p) ? undefined : columnsOf(p);
  if (!columns) return undefined;
  context.columns = columns;
  const own = tokens.filter((t) => !columns.some((c) => c.unit === t));
  context.unit = unitAmong(own) ?? context.unit;
  context.dry = false;
  const samples = columns.filter((c) => c.role === 'sample');
  if (samples.length > 1) return severalSamples(samples.map((c) => c.text));
  const found = columns.some((c) => c.role === 'found');
  return {
    kind: 'heading',
    says: `a heading: of its columns that ${found ? 'of what was found' : 'on dry matter'} is taken`,
  };
}
/** Several samples of which one has to be chosen. */
export const severalSamples = (labels: readonly string[]): Read => ({
  kind: 'notUnderstood',
  says: `several samples, ${labels.join(', ')}: say which one is meant`,
  choices: labels.map((says) => ({ says, figures: [] })),
});

const BY_VOLUME = /\b[wmp]\s?\/\s?v\b/i;
const BY_WEIGHT = /\b([wmp])\s?\/\s?\1\b/i;
/** What a line without values says of the lines below it. */
export function readHeading(tokens: readonly Token[], line: string, context: Context): Read | undefined {
  if (valuesIn(tokens, line).length > 0) return undefined;
  const subject = subjectOf(tokens);
  const section = tells(tokens[0], 'section') || tokens.some((t) => tells(t, 'section'));
  const unit = unitAmong(tokens);
  // A heading of two columns, as received and dry, holds for neither.
  const asIs = tokens.some((t) => tells(t, 'basis.asIs'));
  const dry = tokens.some((t) => tells(t, 'basis.dry')) && !asIs;
  const total = tokens.some((t) => tells(t, 'q.total', 'q.acid'));
  const extract =
    context.provenance !== 'measured'
      ? undefined
      : tokens.some((t) => tells(t, ...EXTRACT, 'q.water'))
        ? true
        : total
          ? false
          : undefined;
  const told = tokens.some((t) => tells(t, 'basis.element'))
    ? 'element'
    : tokens.some((t) => tells(t, 'basis.oxide'))
      ? 'oxide'
      : undefined;
  const heading = section || /:\s*$/.test(line) || subject !== undefined;
  if (!heading && !unit && !dry && extract === undefined && told === undefined) return undefined;
  if (extract !== undefined) context.extract = extract;
  if (unit) context.unit = unit;
  if (BY_VOLUME.test(line)) context.byVolume = true;
  else if (unit || BY_WEIGHT.test(line)) context.byVolume = false;
  if (dry) context.dry = true;
  else if (asIs) context.dry = false;
  context.told = told ?? context.told;
  const words = [
    unit ? `figures below are in ${unit.unit}` : '',
    dry ? 'on dry matter' : '',
    extract === true ? 'of an extract' : extract === false ? 'totals' : '',
    told === undefined ? '' : `as ${told}s`,
  ]
    .filter(Boolean)
    .join(', ');
  return { kind: 'heading', says: words ? `a heading: ${words}` : 'a heading' };
}
