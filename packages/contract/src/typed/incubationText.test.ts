import { incubationCell, incubationInCell, incubationText, readIncubation } from './incubationText.js';

const typed = { temperatureC: '20', medium: 'mineralSoil', applied: '200', samplings: '' };

test('lines of three numbers are samplings, with tabs, spaces or semicolons and a heading above', () => {
  const points = [
    { day: 7, treated: 50.5, untreated: 12 },
    { day: 14, treated: 85, untreated: 14 },
  ];
  for (const samplings of [
    'day\ttreated\tuntreated\n7\t50.5\t12\n\n14\t85\t14',
    '7  50.5  12\n14  85  14',
    '7; 50,5; 12\n14; 85; 14',
  ])
    expect(readIncubation({ ...typed, samplings })).toEqual({
      incubation: { applied: 200, temperatureC: 20, medium: 'mineralSoil', points },
      problems: [],
    });
});

test('what is printed is read back, and nothing typed is none', () => {
  const { incubation } = readIncubation({ ...typed, samplings: '7 50.5 12\n28 118 17' });
  expect(readIncubation(incubationText(incubation)).incubation).toEqual(incubation);
  expect(readIncubation(incubationText(undefined))).toEqual({ incubation: undefined, problems: [] });
});

test('a line that is not three numbers, and an amount that cannot be, are refused in words', () => {
  expect(readIncubation({ ...typed, samplings: '7 50' }).problems).toEqual([
    { path: 'samplings', message: 'Line 1: read “7 50”, expected three numbers: day, treated, untreated.' },
  ]);
  expect(readIncubation({ ...typed, samplings: '7 5x 12' }).problems).toHaveLength(1);
  expect(readIncubation({ ...typed, applied: '0', samplings: '7 50 12' }).problems).toEqual([
    { path: 'applied', message: 'Read 0, expected more than 0.' },
  ]);
});

test('in one cell of a table it comes back as it went; a cell that says something else is none', () => {
  const { incubation } = readIncubation({ ...typed, samplings: '7 50.5 12\n28 118 17' });
  expect(incubationCell(incubation)).toBe('200 20 mineralSoil | 7 50.5 12 | 28 118 17');
  expect(incubationInCell(incubationCell(incubation))).toEqual(incubation);
  expect(incubationCell(undefined)).toBe('');
  expect(incubationInCell('none yet')).toBeUndefined();
  expect(incubationInCell('200 20 mineralSoil | 7 fifty 12')).toBeUndefined();
});
