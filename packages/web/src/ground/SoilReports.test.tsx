import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { SoilReportRecord } from '@wheat-ledger/contract';
import { readSoilSlip } from '@wheat-ledger/core';
import { idOf, samplePlots, show } from '../../test/show';
import { PlotSketch } from './ShapeFields';
import { SoilReports } from './SoilReports';

beforeEach(() => localStorage.clear());
const [plot] = samplePlots;
if (!plot) throw new Error('The sample has no plot.');

const report = (n: number, sampledOn: string, text: string): SoilReportRecord => ({
  id: idOf(700 + n), version: 1, updatedAt: '2026-02-20T10:00:00.000Z', deletedAt: null, plotId: plot.id, name: `Slip ${n}`, sampledOn, depthM: 0.15, note: '',
  figures: readSoilSlip(text).flatMap((l) => (l.figure ? [l.figure as SoilReportRecord['figures'][number]] : [])),
});
const rows = (testid: string): string[] => within(screen.getByTestId(testid)).getAllByRole('row').map((r) => r.textContent ?? '');

test('without a report each condition names the test that would tell', async () => {
  await show(<SoilReports plot={plot} />);
  expect(rows('conditions').find((r) => r.startsWith('sodic'))).toMatch(/unknowntest sodium, calcium and magnesium/);
  expect(rows('conditions').find((r) => r.startsWith('acid'))).toBe('acid, below pH 5nopH 6.4');
});

test('reports stand side by side, oldest first, and only figures of one method share a row', async () => {
  await show(<SoilReports plot={plot} />, { records: { soil: [report(1, '2026-02-09', 'Olsen, mg/kg\nPhosphorus 27'), report(2, '2024-02-12', 'Olsen, mg/kg\nPhosphorus 19'), report(3, '2022-02-01', 'Mehlich-3, mg/kg\nPhosphorus 44')] } });
  const [head, ...body] = rows('soil-history');
  expect(head).toContain('2022-02-012024-02-122026-02-09');
  expect(body).toEqual(['phosphorus, mg/kgOlsen–1927high', 'phosphorus, mg/kgMehlich-344––medium']);
  expect(screen.getAllByRole('img', { name: 'from 19 to 27' })).toHaveLength(1);
});

test('what follows from the newest report changes with the pH wanted and the school', async () => {
  await show(<SoilReports plot={plot} />, { records: { soil: [report(1, '2026-02-09', 'pH 6.4\nCEC 20 cmol/kg\nsaturated paste\nSodium 183.9 mg/L\nCalcium 20.04 mg/L\nMagnesium 12.15 mg/L')] } });
  const row = (start: string): string => rows('derived').find((r) => r.startsWith(start)) ?? '';
  expect(row('Sodium adsorption ratio')).toBe('Sodium adsorption ratio8.00 ');
  expect(row('Gypsum to below ESP 15 %')).toBe('Gypsum to below ESP 15 %0 g/m²');
  await userEvent.click(screen.getByRole('radio', { name: 'ESP 6 (Australia)' }));
  expect(row('Gypsum to below ESP 6 %')).toMatch(/[1-9]\d* g\/m²|\d+–\d+ g\/m²/);
  expect(row('Pure lime to pH 6.5')).toMatch(/\d/);
  const goal = screen.getByLabelText('pH wanted');
  await userEvent.clear(goal);
  await userEvent.type(goal, '5.5');
  expect(row('Elemental sulfur to pH 5.5')).toMatch(/\d/);
  await userEvent.type(goal, 'x');
  expect(document.body.textContent).toContain('Read “5.5x”, expected a pH from 4 to 9.');
  expect(row('sulfur in the layer')).toContain('needs sulfur in mg/kg');
});

test.each([
  [{ kind: 'rectangle', lengthM: 12, widthM: 3 } as const, '12.0 by 3.0 m'],
  [{ kind: 'ring', innerM: 0.3, outerM: 0.9 } as const, '1.8 by 1.8 m'],
  [{ kind: 'triangle', sidesM: [4, 5, 3] } as const, '4.0 by 3.0 m'],
  [{ kind: 'fourSides', sidesM: [3, 4, 3, 4], diagonalM: 5 } as const, '5.0 by 4.8 m'],
  [{ kind: 'rows', lengthM: 20, spacingM: 1, count: 6 } as const, '20.0 by 6.0 m'],
])('a sketch of %j is as large as the shape', async (shape, size) => {
  await show(<PlotSketch shape={shape} />);
  expect(screen.getByRole('img').getAttribute('aria-label')).toContain(size);
});
