import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { productNamed, show } from '../../test/show';
import { lineWords } from './lineWords';
import { EditProduct, NewProduct } from './ProductEditor';

beforeEach(() => localStorage.clear());
const lines = (): string[] =>
  within(screen.getByTestId('analysis-lines'))
    .getAllByRole('listitem')
    .map((li) => li.querySelector('p')?.textContent ?? '');
const prills = productNamed('Hobbingate Steady Prills');

test('an analysis is read out, and a line opens to be changed', async () => {
  await show(<EditProduct />, { path: `/shelf/${prills.id}`, route: '/shelf/:id' });
  expect(lines().slice(0, 3)).toEqual(['N 16 % nitrogen', 'of it 4 % ammoniacal N', 'of it 12 % urea N']);
  expect(screen.queryByLabelText('Line 1, unit')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Change line 1' }));
  const value = screen.getByLabelText('Line 1, value');
  await userEvent.clear(value);
  await userEvent.type(value, '15.5');
  await userEvent.click(screen.getByRole('button', { name: 'Close line 1' }));
  expect(lines()[0]).toBe('N 15.5 % nitrogen');
});
test('a new bag asks for the amounts alone, and takes a line of text into what is blank', async () => {
  await show(<NewProduct />, { path: '/shelf/new', route: '/shelf/new' });
  await userEvent.type(screen.getByLabelText('Line 2, value'), '3');
  const typed = screen.getByLabelText('Add a line as the label says it');
  await userEvent.type(typed, 'N 5 %, of it 4 % urea N{Enter}');
  expect(screen.getByLabelText<HTMLInputElement>('Line 1, value').value).toBe('5');
  expect(lines()).toContain('of it 4 % urea N');
  expect((typed as HTMLInputElement).value).toBe('');
  await userEvent.type(typed, 'vigour aplenty{Enter}');
  expect(screen.getByRole('alert').textContent).toContain('Read “vigour aplenty”, expected a name and an amount');
  expect((typed as HTMLInputElement).value).toBe('vigour aplenty');
});
test('what stands beside a typed line and is not understood is told', async () => {
  await show(<NewProduct />, { path: '/shelf/new', route: '/shelf/new' });
  const typed = screen.getByLabelText('Add a line as the label says it');
  await userEvent.type(typed, 'N 5 %, vigour 7 %{Enter}');
  expect(screen.getByLabelText<HTMLInputElement>('Line 1, value').value).toBe('5');
  expect(screen.getByRole('alert').textContent).toContain('7 % beside it was not understood');
  await userEvent.type(typed, 'P2O5 3 %{Enter}');
  expect(screen.queryByRole('alert')).toBeNull();
});
test('a line by hand opens with all its fields, and stays open while it is typed', async () => {
  await show(<NewProduct />, { path: '/shelf/new', route: '/shelf/new' });
  await userEvent.click(screen.getByRole('button', { name: 'Another line by hand' }));
  await userEvent.type(screen.getByLabelText('Line 4, value'), '12');
  await userEvent.selectOptions(screen.getByLabelText('Line 4, unit'), 'mg/kg');
  await userEvent.click(screen.getByRole('button', { name: 'Close line 4' }));
  expect(lines().at(-1)).toBe('Ca 12 mg/kg calcium');
});
test.each([
  ['P', 'P2O5', '8', '%', 'label', 'bag label', 'P₂O₅ 8 %, phosphorus'],
  ['N.nitrate', 'element', '2', '%', 'label', 'bag label', '2 %, nitrate N'],
  [
    'K',
    'K2O available',
    '900',
    'mg/kg',
    'measured',
    'slip 4',
    'K₂O 900 mg/kg, potassium, what an extract holds, measured: slip 4',
  ],
  ['Zn', 'element', '', '%', 'guess', '', 'Zn not typed yet, zinc, guess: source not said'],
])('%s as %s', (analyte, basis, value, unit, provenance, source, says) => {
  const { amount, name, from } = lineWords({ analyte, basis, value, unit, provenance, source });
  expect([amount, name, from].filter(Boolean).join(', ')).toBe(says);
});
