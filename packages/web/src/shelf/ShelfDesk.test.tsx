import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../../test/show';
import { LabelDesk } from './LabelDesk';
import { LibraryView } from './LibraryView';

beforeEach(() => localStorage.clear());

async function paste(text: string): Promise<void> {
  await userEvent.click(screen.getByLabelText('The text of the label'));
  await userEvent.paste(text);
}
const row = (n: number): string =>
  [...document.querySelectorAll('[data-testid=label-lines] tbody tr')].find((r) => r.textContent?.startsWith(String(n)))
    ?.textContent ?? '';
const questions = (): string => document.querySelector('[data-testid=label-questions]')?.textContent ?? '';

test('nothing to make a bag of yet: the action waits', async () => {
  await show(<LabelDesk />);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Make it a bag' }).disabled).toBe(true);
});

test('each line says what it was taken as; a correction outranks it and survives a reload', async () => {
  const first = await show(<LabelDesk />);
  await paste('Nitrogen 5 %\nGlow 3 %');
  await waitFor(() => expect(row(1)).toContain('figure: 5 % nitrogen'));
  expect(row(2)).toBe('');
  expect(questions()).toContain('Glow 3 %');
  expect(screen.getByText(/1 line is asked about/)).toBeTruthy();
  await userEvent.selectOptions(screen.getByLabelText('Line 2, take it as'), 'magnesium, as MgO');
  await waitFor(() => expect(row(2)).toContain('3 % magnesium, as MgO, as you said'));
  first.unmount();
  await show(<LabelDesk />);
  await waitFor(() => expect(row(2)).toContain('3 % magnesium, as MgO, as you said'));
  await userEvent.selectOptions(screen.getByLabelText('Line 2, take it as'), 'as read');
  await waitFor(() => expect(questions()).toContain('Glow 3 %'));
});

test('a lab slip’s figures are measured, and contradictions stand in the margin', async () => {
  await show(<LabelDesk />);
  await userEvent.click(screen.getByRole('radio', { name: 'a lab slip' }));
  await paste('Total nitrogen 16 %\n12 % Ammoniacal nitrogen\n9 % Urea nitrogen');
  await waitFor(() =>
    expect(document.querySelector('[data-testid=label-findings]')?.textContent).toMatch(/forms add to 21 %/),
  );
});

test('a correction stays with its line while text is added, and goes when the line itself is changed', async () => {
  await show(<LabelDesk />);
  await paste('Glow 3 %');
  await userEvent.selectOptions(await screen.findByLabelText('Line 1, take it as'), 'nothing: set it aside');
  await paste('\nNitrogen 2 %');
  await waitFor(() => expect(row(2)).toContain('2 % nitrogen'));
  expect(row(1)).toContain('set aside');
  await userEvent.clear(screen.getByLabelText('The text of the label'));
  await paste('Glow 4 %');
  await waitFor(() => expect(questions()).toContain('Glow 4 %'));
});

test('a line that could be several things is asked about with its readings, one key away', async () => {
  await show(<LabelDesk />);
  await paste('Nitrogen 5.5 %\nPhosphate (P) 3 %');
  const question = await screen.findByLabelText('Question on line 2');
  expect(question.textContent).toMatch(/3 % could be P or P₂O₅.*3 % phosphorus.*3 % phosphorus, as P₂O₅/);
  act(() => question.focus());
  await userEvent.keyboard('2');
  await waitFor(() => expect(row(2)).toContain('3 % phosphorus, as P₂O₅, as you said'));
  expect(questions()).toContain('Every figure was understood');
});

test('numbers are marked where they stand by what became of them, and the line that is pointed at lights up', async () => {
  await show(<LabelDesk />);
  await paste('Nitrogen 5 %\nBatch 4711\nGlow 3 %');
  await waitFor(() => expect(row(1)).toContain('5 % nitrogen'));
  const marks = (kind: string) => [...document.querySelectorAll(`.paper-marks .${kind}`)].map((m) => m.textContent);
  expect([marks('mark-taken'), marks('mark-aside'), marks('mark-missed')]).toEqual([['5'], ['4711'], ['3']]);
  await userEvent.hover(screen.getByLabelText('Line 1, take it as').closest('tr') as HTMLElement);
  expect(document.querySelector('.line-active')?.textContent).toBe('Nitrogen 5 %');
});

test('an answer is kept for papers of the same seller, and can be forgotten', async () => {
  const first = await show(<LabelDesk />);
  await paste('Nitrogen 5.5 %\nPhosphate (P) 3 %');
  const question = await screen.findByLabelText('Question on line 2');
  act(() => question.focus());
  await userEvent.keyboard('2');
  await userEvent.type(screen.getByLabelText('Whose paper is it?'), 'Ossel & Wick');
  await userEvent.click(screen.getByRole('button', { name: 'Keep it for papers of Ossel & Wick' }));
  first.unmount();
  localStorage.removeItem('wheat-ledger.draft.label');
  await show(<LabelDesk />);
  await paste('Potash (K) 4 %');
  await waitFor(() => expect(questions()).toContain('could be K or K₂O'));
  await userEvent.type(screen.getByLabelText('Whose paper is it?'), 'ossel & wick');
  await waitFor(() => expect(row(1)).toContain('4 % potassium, as K₂O'));
  await userEvent.click(screen.getByRole('button', { name: 'Forget it' }));
  await waitFor(() => expect(questions()).toContain('could be K or K₂O'));
});

test('a sample comes back from the practice laboratory as a paper that is read', async () => {
  await show(<LabelDesk />);
  await userEvent.click(await screen.findByRole('button', { name: /Send a compost sample/ }));
  expect(screen.getByTestId('practice-lab').textContent).toMatch(/A compost sample was sent on .*takes \d+ days/);
  await userEvent.click(screen.getByRole('button', { name: 'Let the days pass' }));
  expect(screen.getByTestId('practice-lab').textContent).toMatch(/Its paper is here, in \w+/);
  await waitFor(() => expect(document.querySelector('[data-testid=label-lines]')?.textContent).toMatch(/nitrogen/));
});

test('the library finds by name, shows its facts with the table of its salt index, and says when nothing fits', async () => {
  await show(<LibraryView />);
  const search = screen.getByLabelText('Find a material by name or element');
  await userEvent.type(search, 'moon dust');
  await waitFor(() => expect(screen.getByText(/No material is called/)).toBeTruthy());
  await userEvent.clear(search);
  await userEvent.type(search, 'sulfate of ammonia');
  await waitFor(() => expect(document.querySelectorAll('[data-testid=library] tbody tr')).toHaveLength(1));
  expect(document.body.textContent).toMatch(/69 \(Rader, White & Whittaker 1943; 88\.3 in Mortvedt 2001/);
  expect(document.body.textContent).toMatch(/Liming effect-?−?\d+/);
});
