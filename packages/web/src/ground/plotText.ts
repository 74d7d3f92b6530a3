import { SHAPE_LENGTHS, toShape, type PlotInput, type ShapeInput, type TemperatureInput } from '@wheat-ledger/contract';
import { DomainError, plotArea, SHAPES, type Medium, type ShapeKind, type Texture } from '@wheat-ledger/core';
import { given, Reader, whenTyped } from '../ui/reader';
import type { ReadText } from '../ui/textForm';

/** A plot as a person types it. */
export interface PlotText {
  name: string;
  area: string;
  /** '' when the area is typed outright. */
  shape: string;
  lengths: string[];
  count: string;
  crop: string;
  medium: string;
  texture: string;
  pH: string;
  plantedOn: string;
  kind: string;
  meansC: string[];
  meanC: string;
  amplitudeC: string;
  warmestDay: string;
}

export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

export const blankPlot = (today: string): PlotText => ({
  name: '', area: '', shape: '', lengths: ['', '', '', '', ''], count: '', crop: 'wheat', medium: 'mineralSoil', texture: 'loam', pH: '', plantedOn: today,
  kind: 'sine', meansC: MONTHS.map(() => ''), meanC: '10.5', amplitudeC: '7', warmestDay: '205',
});

export const plotText = (p: PlotInput): PlotText => ({
  ...blankPlot(p.plantedOn),
  name: p.name, area: `${p.areaM2} m²`, crop: p.crop, medium: p.medium, texture: p.texture, pH: p.pH === undefined ? '' : String(p.pH),
  ...(p.shape ? { shape: p.shape.kind, lengths: [0, 1, 2, 3, 4].map((i) => (p.shape?.lengthsM[i] === undefined ? '' : `${p.shape.lengthsM[i]} m`)), count: p.shape.count === undefined ? '' : String(p.shape.count) } : {}),
  kind: p.temperature.kind,
  ...(p.temperature.kind === 'monthly'
    ? { meansC: (p.temperature.meansC ?? []).map(String) }
    : { meanC: String(p.temperature.meanC), amplitudeC: String(p.temperature.amplitudeC), warmestDay: String(p.temperature.warmestDay) }),
});

/** The shape as typed, with as many lengths as its kind has; undefined when the area is typed outright. */
function readShape(read: Reader, { shape: kind, lengths, count }: PlotText): ShapeInput | undefined {
  if (!isShape(kind)) return undefined;
  const { lengths: names, counted } = SHAPE_LENGTHS[kind];
  return {
    kind,
    lengthsM: names.map((_, i) => read.canonical(`lengths.${i}`, lengths[i] ?? '', 'length', 'm') ?? 0),
    ...given('count', counted === undefined ? undefined : (read.number('count', count) ?? 0)),
  };
}
const isShape = (kind: string): kind is ShapeKind => (SHAPES as readonly string[]).includes(kind);

/** The area of a shape, or 1 with the reason kept when it cannot be. */
function areaOf(read: Reader, shape: ShapeInput): number {
  if (read.problems.length > 0) return 1;
  try {
    return Number(plotArea(toShape(shape)).value.mid.toPrecision(9));
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    read.problems.push({ path: 'lengths.0', message: error.message });
    return 1;
  }
}

export function readPlot(text: PlotText): ReadText & { readonly plain: PlotInput } {
  const read = new Reader();
  const number = (path: string, typed: string): number => read.number(path, typed) ?? 0;
  const shape = readShape(read, text);
  const temperature: TemperatureInput = text.kind === 'monthly'
    ? { kind: 'monthly', meansC: text.meansC.map((m, i) => number(`meansC.${i}`, m)) }
    : { kind: 'sine', meanC: number('meanC', text.meanC), amplitudeC: number('amplitudeC', text.amplitudeC), warmestDay: number('warmestDay', text.warmestDay) };
  const plain: PlotInput = {
    name: text.name.trim(),
    areaM2: shape ? areaOf(read, shape) : (read.canonical('area', text.area, 'area', 'm²') ?? 1),
    crop: text.crop, medium: text.medium as Medium, texture: text.texture as Texture,
    ...given('pH', whenTyped(text.pH, () => number('pH', text.pH))),
    temperature,
    plantedOn: text.plantedOn,
    ...given('shape', shape),
  };
  return { plain, problems: read.problems };
}
