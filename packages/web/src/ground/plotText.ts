import type { PlotInput, TemperatureInput } from '@wheat-ledger/contract';
import type { Medium, Texture } from '@wheat-ledger/core';
import { given, Reader, whenTyped } from '../ui/reader';
import type { ReadText } from '../ui/textForm';

/** A plot as a person types it. */
export interface PlotText {
  name: string;
  area: string;
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
  name: '', area: '', crop: 'wheat', medium: 'mineralSoil', texture: 'loam', pH: '', plantedOn: today,
  kind: 'sine', meansC: MONTHS.map(() => ''), meanC: '10.5', amplitudeC: '7', warmestDay: '205',
});

export const plotText = (p: PlotInput): PlotText => ({
  ...blankPlot(p.plantedOn),
  name: p.name, area: `${p.areaM2} m²`, crop: p.crop, medium: p.medium, texture: p.texture, pH: p.pH === undefined ? '' : String(p.pH),
  kind: p.temperature.kind,
  ...(p.temperature.kind === 'monthly'
    ? { meansC: (p.temperature.meansC ?? []).map(String) }
    : { meanC: String(p.temperature.meanC), amplitudeC: String(p.temperature.amplitudeC), warmestDay: String(p.temperature.warmestDay) }),
});

export function readPlot(text: PlotText): ReadText & { readonly plain: PlotInput } {
  const read = new Reader();
  const number = (path: string, typed: string): number => read.number(path, typed) ?? 0;
  const temperature: TemperatureInput = text.kind === 'monthly'
    ? { kind: 'monthly', meansC: text.meansC.map((m, i) => number(`meansC.${i}`, m)) }
    : { kind: 'sine', meanC: number('meanC', text.meanC), amplitudeC: number('amplitudeC', text.amplitudeC), warmestDay: number('warmestDay', text.warmestDay) };
  const plain: PlotInput = {
    name: text.name.trim(),
    areaM2: read.canonical('area', text.area, 'area', 'm²') ?? 1,
    crop: text.crop, medium: text.medium as Medium, texture: text.texture as Texture,
    ...given('pH', whenTyped(text.pH, () => number('pH', text.pH))),
    temperature,
    plantedOn: text.plantedOn,
  };
  return { plain, problems: read.problems };
}
