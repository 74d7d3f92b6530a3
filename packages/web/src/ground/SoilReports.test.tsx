import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlotRecord, SoilReportRecord } from '@wheat-ledger/contract';
import { readSoilSlip } from '@wheat-ledger/core';
import { idOf, productNamed, samplePlots, show } from '../../test/show';
import { PlotSketch } from './PlotSketch';
import { SoilReportEditor } from './SoilReportEditor';
import { SoilReports } from './SoilReports';

beforeEach(() => localStorage.clear());
const [plot] = samplePlots;
if (!plot) throw new Error('The sample has no plot.');

const report = (n: number, sampledOn: string, text: string): SoilReportRecord => ({
  id: idOf(700 + n),
  version: 1,
  updatedAt: '2026-02-20T10:00:00.000Z',
  deletedAt: null,
  plotId: plot.id,
  name: `Slip ${n}`,
  sampledOn,
  depthM: 0.15,
  note: '',
  figures: readSoilSlip(text).flatMap((l) => (l.figure ? [l.figure as SoilReportRecord['figures'][number]] : [])),
});
const rows = (testid: string): string[] =>
  within(screen.getByTestId(testid))
    .getAllByRole('row')
    .map((r) => r.textContent ?? '');

test('without a report each condition names the test that would tell', async () => {
  await show(<SoilReports plot={plot} />);
  expect(rows('conditions').find((r) => r.startsWith('sodic'))).toMatch(/unknowntest sodium, calcium and magnesium/);
  expect(rows('conditions').find((r) => r.startsWith('acid'))).toBe('acid, below pH 5nopH 6.4');
});

test('reports stand side by side, oldest first, and only figures of one method share a row', async () => {
  await show(<SoilReports plot={plot} />, {
    records: {
      soil: [
        report(1, '2026-02-09', 'Olsen, mg/kg\nPhosphorus 27'),
        report(2, '2024-02-12', 'Olsen, mg/kg\nPhosphorus 19'),
        report(3, '2022-02-01', 'Mehlich-3, mg/kg\nPhosphorus 44'),
      ],
    },
  });
  const [head, ...body] = rows('soil-history');
  expect(head).toContain('1 Feb 202212 Feb 20249 Feb 2026');
  expect(body).toEqual(['phosphorus, mg/kgOlsen–1927high', 'phosphorus, mg/kgMehlich-344––medium']);
  expect(screen.getAllByRole('img', { name: 'from 19 to 27' })).toHaveLength(1);
});

test('what follows from the newest report changes with the pH wanted and the school', async () => {
  await show(<SoilReports plot={plot} />, {
    records: {
      soil: [
        report(
          1,
          '2026-02-09',
          'pH 6.4\nCEC 20 cmol/kg\nsaturated paste\nSodium 183.9 mg/L\nCalcium 20.04 mg/L\nMagnesium 12.15 mg/L',
        ),
      ],
    },
  });
  const row = (start: string): string => rows('derived').find((r) => r.startsWith(start)) ?? '';
  expect(row('Sodium adsorption ratio')).toBe('Sodium adsorption ratio8.00 ');
  expect(row('Gypsum to below ESP 15 %')).toBe('Gypsum to below ESP 15 %0 g/m²');
  expect(row('Pure lime') || row('Elemental sulfur')).toMatch(/kg on the whole plot$/);
  const sodic = (): string => rows('conditions').find((r) => r.startsWith('sodic')) ?? '';
  expect(sodic()).toMatch(/^sodicno.*sodic from 15 % \(US\)$/);
  await userEvent.click(screen.getByRole('radio', { name: 'ESP 6 (Australia)' }));
  expect(sodic()).toMatch(/^sodicyes.*sodic from 6 % \(Australia\)$/);
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
  [{ kind: 'polygon', sidesM: [3, 4, 3, 4], diagonalsM: [5] } as const, '3.0 by 4.0 m'],
  [
    { kind: 'polygon', sidesM: [2, 2, 2, 2, 2, 2], diagonalsM: [2 * Math.sqrt(3), 4, 2 * Math.sqrt(3)] } as const,
    '4.0 by 3.5 m',
  ],
  [{ kind: 'containers', acrossM: 0.4, litres: 30, count: 10 } as const, '3.6 by 0.9 m'],
  [{ kind: 'rows', lengthM: 20, spacingM: 1, count: 6 } as const, '20.0 by 6.0 m'],
])('a sketch of %j is as large as the shape', async (shape, size) => {
  await show(<PlotSketch shape={shape} />);
  expect(screen.getByRole('img').getAttribute('aria-label')).toContain(size);
});

test('a slip as a CSV file is read row by row; a file that is no text is refused', async () => {
  await show(<SoilReportEditor />, {
    path: `/ground/${samplePlots[0]!.id}/soil/new`,
    route: '/ground/:id/soil/:reportId',
  });
  const input = screen.getByTestId<HTMLInputElement>('paper-file');
  const file = (content: string, name: string): File =>
    Object.assign(new File([content], name), { text: () => Promise.resolve(content) });
  await userEvent.upload(
    input,
    file('Analyte,Method,Value,Unit\n"Phosphorus",Olsen,27,mg/kg\npH,water,6.4,\n', 'slip.csv'),
  );
  await waitFor(() =>
    expect(screen.getByTestId('slip-lines').textContent).toMatch(/27 mg\/kg phosphorus, Olsen.*pH 6\.4, in water/),
  );
  await userEvent.click(screen.getByRole('button', { name: 'Take over 2 figures' }));
  expect(screen.getByLabelText<HTMLInputElement>(/Figure 1, value/).value).toBe('27');
  await userEvent.upload(input, file('MZ\0\u0001', 'trick.csv'));
  await waitFor(() =>
    expect(screen.getByRole('alert').textContent).toMatch(/Read “trick\.csv”, expected a CSV or text file/),
  );
});

beforeEach(() => localStorage.clear());

test('what a pH lets through: unknown is told as a test, a good pH in a sentence, a limed soil nutrient by nutrient', async () => {
  const at = async (pH: number | undefined): Promise<void> => {
    document.body.replaceChildren();
    const untold = Object.fromEntries(
      Object.entries(plot).filter(([field]) => field !== 'pH'),
    ) as unknown as PlotRecord;
    await show(<SoilReports plot={pH === undefined ? untold : { ...untold, pH }} />);
  };
  await at(undefined);
  expect(document.body.textContent).toContain('Unknown: test pH.');
  await at(6.5);
  expect(screen.getByTestId('ph-easy').textContent).toBe('At pH 6.5 everything is as easy to get as it can be.');
  expect(screen.queryByTestId('ph-held')).toBeNull();
  await at(4.8);
  expect(screen.getByTestId('ph-easy').textContent).toMatch(/As easy as can be: Fe\.$/);
  const held = within(screen.getByTestId('ph-held'))
    .getAllByRole('row')
    .map((r) => r.textContent);
  expect(held).toContain('P phosphorusharder to getiron and aluminium hold it');
  expect(held).toContain('Mn manganesetoo much of itso much dissolves that it can harm roots');
});

test('pasted rows of a CSV are read by their cells; a slip with decimal commas stays as it is', async () => {
  await show(<SoilReportEditor />, {
    path: `/ground/${samplePlots[0]!.id}/soil/new`,
    route: '/ground/:id/soil/:reportId',
  });
  const area = screen.getByLabelText('The text of the slip');
  await userEvent.click(area);
  await userEvent.paste('Analyte,Result,Unit,Method\npH,6.4,,H2O\nP,27,mg/kg,Olsen\nNa,46,mg/L,saturated paste');
  await waitFor(() =>
    expect(screen.getByTestId('slip-lines').textContent).toMatch(
      /pH 6\.4, in water.*27 mg\/kg phosphorus, Olsen.*46 mg\/L sodium, saturated paste/,
    ),
  );
  await userEvent.clear(area);
  await userEvent.paste('pH 6,4, in water\nP (Olsen) 27,5 mg/kg');
  await waitFor(() =>
    expect(screen.getByTestId('slip-lines').textContent).toMatch(/pH 6\.4, in water.*27\.5 mg\/kg phosphorus, Olsen/),
  );
});

test('beds side by side are asked about first, and the answer takes its column', async () => {
  await show(<SoilReportEditor />, {
    path: `/ground/${samplePlots[0]!.id}/soil/new`,
    route: '/ground/:id/soil/:reportId',
  });
  await userEvent.click(screen.getByLabelText('The text of the slip'));
  await userEvent.paste('Analysis\tBed 1\tBed 2\npH\t6.4\t7.0\nP (Olsen) mg/kg\t12\t18');
  await userEvent.click(await screen.findByRole('button', { name: 'Bed 2' }));
  await waitFor(() =>
    expect(screen.getByTestId('slip-lines').textContent).toMatch(/pH 7, method not said.*18 mg\/kg phosphorus, Olsen/),
  );
  await userEvent.click(screen.getByRole('button', { name: 'Take over 2 figures' }));
  expect(screen.getByLabelText<HTMLInputElement>(/Figure 2, value/).value).toBe('18');
});

test('what is chosen brings its own unit and keeps one that fits; a value no soil has is told beside it', async () => {
  await show(<SoilReportEditor />, {
    path: `/ground/${samplePlots[0]!.id}/soil/new`,
    route: '/ground/:id/soil/:reportId',
  });
  const unit = (): string => screen.getByLabelText<HTMLSelectElement>('Figure 2, unit').value;
  expect(unit()).toBe('mg/kg');
  await userEvent.selectOptions(screen.getByLabelText('Figure 2, of what'), 'bulk density');
  expect([unit(), [...screen.getByLabelText<HTMLSelectElement>('Figure 2, unit').options].map((o) => o.value)]).toEqual(
    ['kg/L', ['kg/L']],
  );
  await userEvent.selectOptions(screen.getByLabelText('Figure 2, of what'), 'calcium');
  await userEvent.selectOptions(screen.getByLabelText('Figure 2, unit'), 'mg/L');
  await userEvent.selectOptions(screen.getByLabelText('Figure 2, of what'), 'magnesium');
  expect(unit()).toBe('mg/L');
  await userEvent.type(screen.getByLabelText('Figure 1, value'), '64');
  await userEvent.tab();
  await waitFor(() => expect(document.body.textContent).toContain('Read 64 for pH, expected 2 to 11.'));
});

test('EC and CEC are told apart where each stands', async () => {
  await show(<SoilReports plot={plot} />, {
    records: { soil: [report(1, '2026-02-09', 'EC saturated paste 0.7 mS/cm\nCEC 11 cmol/kg\nP (Olsen) 20 mg/kg')] },
  });
  const word = (name: string) => within(screen.getByTestId('soil-history')).getByRole('button', { name });
  await userEvent.click(word('electrical conductivity'));
  expect((await screen.findByRole('note')).textContent).toMatch(/how much salt is dissolved.*nothing of how much/i);
  await userEvent.keyboard('{Escape}');
  await userEvent.click(word('cation exchange capacity'));
  expect((await screen.findByRole('note')).textContent).toMatch(/can hold.*nothing of how much salt/);
});

test('lime is needed by what is at hand: a bag whose liming effect is known, or what is typical of a lime', async () => {
  const bag = { ...productNamed('Barn straw'), id: idOf(801), name: 'Shed lime', limingPer100Kg: 50 };
  await show(<SoilReports plot={plot} />, { records: { soil: [report(1, '2026-02-09', 'pH 5.5')], product: [bag] } });
  const need = (): number[] =>
    (rows('derived').find((r) => / to pH 6\.5/.test(r)) ?? '')
      .replace(/kg on.*/, '')
      .match(/[\d.]+(?=[–\s])/g)
      ?.slice(1, 3)
      .map(Number) ?? [];
  const pure = need();
  await userEvent.selectOptions(screen.getByLabelText('Lime at hand'), 'Shed lime');
  expect(rows('derived').find((r) => r.startsWith('Shed lime to pH 6.5'))).toBeTruthy();
  expect(pure.length).toBeGreaterThan(0);
  expect(need().map((n, i) => Number((n / (pure[i] ?? NaN)).toFixed(1)))).toEqual(pure.map(() => 2));
  await userEvent.selectOptions(screen.getByLabelText('Lime at hand'), 'Wood ash');
  expect(rows('derived').find((r) => r.startsWith('Wood ash to pH 6.5'))).toMatch(/–/);
});
