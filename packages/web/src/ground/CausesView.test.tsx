import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../../test/show';
import { CausesView } from './CausesView';

const rows = (): string[] => within(screen.getByTestId('causes')).getAllByRole('row').slice(1).map((r) => r.textContent ?? '');

test('signs lead to causes, the cheapest check first, and unticking takes them away', async () => {
  await show(<CausesView />);
  expect(screen.queryByTestId('causes')).toBeNull();
  const pale = within(screen.getByRole('group', { name: 'On the old leaves first' })).getByLabelText('pale or yellow all over');
  await userEvent.click(pale);
  expect(rows()[0]).toMatch(/^only age.*a lookDo nothing\.$/);
  expect(rows().at(-1)).toMatch(/^too little nitrogen.*a laboratory/);
  await userEvent.click(screen.getByLabelText('wilts by day'));
  expect(rows().find((r) => r.startsWith('too wet'))).toMatch(/2 of 2$/);
  await userEvent.click(pale);
  await userEvent.click(screen.getByLabelText('wilts by day'));
  expect(screen.queryByTestId('causes')).toBeNull();
});
