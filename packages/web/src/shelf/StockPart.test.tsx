import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { MovementRecord } from '@wheat-ledger/contract';
import { idOf, productNamed, show } from '../../test/show';
import { StockPart } from './StockPart';

const hen = productNamed('Hollow Hen Pellets');
const movement = (n: number, amount: number, given: Partial<MovementRecord> = {}): MovementRecord => ({
  id: idOf(n),
  version: 1,
  updatedAt: '2026-02-20T10:00:00.000Z',
  deletedAt: null,
  productId: hen.id,
  amount,
  unit: 'kg',
  reason: amount < 0 ? 'used' : 'bought',
  on: '2026-03-14',
  lot: '',
  note: '',
  ...given,
});
/** Takes what is sent and answers with it as a record. */
function server(): object[] {
  const sent: object[] = [];
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL) => {
    const body = (await (input as Request).json()) as object;
    sent.push(body);
    return new Response(JSON.stringify(movement(900 + sent.length, 1, body)), {
      headers: { 'content-type': 'application/json' },
    });
  });
  return sent;
}
const enter = async (amount: string, reason?: string): Promise<void> => {
  await userEvent.type(screen.getByLabelText('Amount'), amount);
  if (reason) await userEvent.selectOptions(screen.getByLabelText('was'), reason);
  await userEvent.click(screen.getByRole('button', { name: 'Enter it' }));
};
const onHand = (): string => screen.getByTestId('stock').textContent ?? '';

test('what came and went adds up, and each is listed, the newest first', async () => {
  await show(<StockPart product={hen} />, {
    records: { movement: [movement(701, 20, { lot: 'A7', on: '2026-02-20' }), movement(702, -3)] },
  });
  expect(onHand()).toBe('On hand 17 kg');
  const rows = [...screen.getByTestId('movements').querySelectorAll('tbody tr')].map((r) => r.textContent ?? '');
  expect(rows[0]).toMatch(/14 Mar 2026used−3 kg/);
  expect(rows[1]).toMatch(/20 Feb 2026boughtA7\+20 kg/);
});

test('an amount used is kept below zero, one bought above, and the sum follows at once', async () => {
  const sent = server();
  await show(<StockPart product={hen} />, { records: { movement: [movement(701, 20)] } });
  await enter('500 g', 'used');
  await waitFor(() => expect(onHand()).toBe('On hand 19.5 kg'));
  expect(sent).toMatchObject([{ productId: hen.id, amount: -500, unit: 'g', reason: 'used' }]);
});

test('a count is typed as what is there and kept as what it changes', async () => {
  const sent = server();
  await show(<StockPart product={hen} />, { records: { movement: [movement(701, 20), movement(702, -3)] } });
  await enter('10 kg', 'counted, all there is');
  await waitFor(() => expect(onHand()).toBe('On hand 10 kg'));
  expect(sent).toMatchObject([{ amount: -7, unit: 'kg', reason: 'counted' }]);
});

test('what cannot be read is told and kept; nothing is sent', async () => {
  const sent = server();
  await show(<StockPart product={hen} />, {});
  expect(onHand()).toBe('Nothing was entered yet.');
  await enter('a lot');
  expect((await screen.findByRole('alert')).textContent).toMatch(/Read "a lot", expected a number and a unit/);
  expect(screen.getByLabelText<HTMLInputElement>('Amount').value).toBe('a lot');
  await userEvent.clear(screen.getByLabelText('on'));
  await userEvent.type(screen.getByLabelText('on'), '3/4/2026');
  await userEvent.clear(screen.getByLabelText('Amount'));
  await enter('2 kg');
  expect((await screen.findByRole('alert')).textContent).toMatch(/3 Apr 2026 or 4 Mar 2026\?/);
  expect(sent).toEqual([]);
});
