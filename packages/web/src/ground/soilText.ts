import {
  given,
  Reader,
  rowsWith,
  toValue,
  whenTyped,
  type DeclaredValueInput,
  type ReadText,
  type SoilReportInput,
} from '@wheat-ledger/contract';
import {
  parseAdvice,
  printDeclared,
  typedNumber,
  soilFigureProblem,
  type DeclaredValue,
  type SoilAnalyte,
  type SoilFigure,
  type SoilMethod,
  type SoilUnit,
} from '@wheat-ledger/core';

export interface SoilFigureText {
  analyte: string;
  value: string;
  unit: string;
  method: string;
}
/** A soil report as a person types it. */
export interface SoilText {
  name: string;
  sampledOn: string;
  depth: string;
  figures: SoilFigureText[];
  /** What the laboratory recommends. */
  advice: string;
  note: string;
}

export const figureText = ({ analyte, value, unit, method }: SoilFigure): SoilFigureText => ({
  analyte,
  value: printDeclared(value),
  unit,
  method,
});
export const blankFigure = (): SoilFigureText => ({ analyte: 'P', value: '', unit: 'mg/kg', method: 'notSaid' });
export const blankSoil = (today: string): SoilText => ({
  name: '',
  sampledOn: today,
  depth: '15 cm',
  figures: [{ analyte: 'pH', value: '', unit: '', method: 'notSaid' }, blankFigure()],
  advice: '',
  note: '',
});

export const soilText = (r: SoilReportInput): SoilText => ({
  name: r.name,
  sampledOn: r.sampledOn,
  depth: `${typedNumber(r.depthM)} m`,
  advice: r.advice ?? '',
  note: r.note,
  figures: r.figures.map((f) => figureText({ ...f, value: f.value as DeclaredValue })),
});

/** Reads a typed report for one plot; figures without a value are left out. */
export const readSoil =
  (plotId: string) =>
  (text: SoilText): ReadText & { readonly plain: SoilReportInput } => {
    const read = new Reader();
    const rows = rowsWith(text.figures, (f) => f.value.trim() !== '');
    const plain: SoilReportInput = {
      plotId,
      name: text.name.trim(),
      sampledOn: read.day('sampledOn', text.sampledOn) ?? '',
      ...given(
        'advice',
        whenTyped(text.advice, () => text.advice.trim()),
      ),
      note: text.note.trim(),
      depthM: read.canonical('depth', text.depth, 'length', 'm') ?? 0,
      figures: rows.flatMap(([f, i]) => {
        const value: DeclaredValueInput | undefined = read.declared(`figures.${i}.value`, f.value);
        if (!value) return [];
        const figure = { analyte: f.analyte as SoilAnalyte, unit: f.unit as SoilUnit, method: f.method as SoilMethod };
        const problem = soilFigureProblem({ ...figure, value: toValue(value) });
        if (problem) read.refuse(`figures.${i}.${problem.part}`, problem.message);
        return [{ ...figure, value }];
      }),
    };
    const advice = parseAdvice(text.advice);
    if (!advice.ok) read.refuse('advice', advice.reason);
    return { plain, problems: read.problems, rows: { figures: rows.map(([, i]) => i) } };
  };
