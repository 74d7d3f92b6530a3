import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FormProvider, useForm } from 'react-hook-form';
import { Provider } from 'react-redux';
import { ClaimInput, typedPath } from '@wheat-ledger/contract';
import { readKept, writeKept } from '../app/keep';
import { makeStore } from '../app/store';
import { DayField, TextField } from './Field';
import { fieldPath, useTextForm, type TextForm } from './textForm';

test('a problem is cut back to the field that was typed', () => {
  const typed = { analysis: [{ value: '5' }, { value: '3–2' }], offers: [{ size: '5 kg', price: '' }], name: '' };
  expect(fieldPath('analysis.1.value.low', typed)).toBe('analysis.1.value');
  expect(fieldPath('name', typed)).toBe('name');
  expect(fieldPath('offers.0.unit', typed)).toBe('offers.0.size');
  expect(fieldPath('nowhere.at.all', typed)).toBe('nowhere.at.all');
});
test('rows left out are counted back in', () => {
  expect(typedPath('offers.1.size', { offers: [0, 2] })).toBe('offers.2.size');
  expect(typedPath('name', { offers: [0, 2] })).toBe('name');
});

interface Text {
  statement: string;
  saidBy: string;
}
const SAVED: Text = { statement: 'It feeds', saidBy: '' };
const read = (text: Text) => ({
  plain: { ...text, productId: '00000000-0000-4000-8000-000000000001', crop: 'wheat', needs: [] },
  problems: [],
});
let held: TextForm<Text>;
const Form = (props: { version?: number }) => (
  <Provider store={makeStore()}>
    <OwnForm {...props} />
  </Provider>
);
function OwnForm({ version = 1 }: { version?: number }) {
  const textForm = useTextForm<Text, ClaimInput>({ Input: ClaimInput, saved: SAVED, version, read, draft: 'test' });
  held = textForm;
  return (
    <FormProvider {...textForm.form}>
      <form onSubmit={(e) => void textForm.form.handleSubmit(() => undefined)(e)}>
        <TextField name="statement" label="Claim" />
        <button>Save</button>
      </form>
      <output>{textForm.draftFrom ? `draft over version ${textForm.base}` : 'no draft'}</output>
    </FormProvider>
  );
}
beforeEach(() => localStorage.clear());

test('the contract’s sentence stands beside the field', async () => {
  render(<Form />);
  await userEvent.clear(screen.getByLabelText('Claim'));
  await userEvent.click(screen.getByText('Save'));
  expect(await screen.findByText(/Expected the claim, as it is made, 1 to 500 characters/)).toBeTruthy();
  expect(screen.getByLabelText('Claim').getAttribute('aria-invalid')).toBe('true');
});

test('typing is kept through a reload, over the version it was typed on, and can be discarded', async () => {
  const first = render(<Form />);
  await userEvent.type(screen.getByLabelText('Claim'), ' all year');
  first.unmount();
  render(<Form version={3} />);
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Claim').value).toBe('It feeds all year'));
  expect(screen.getByText('draft over version 1')).toBeTruthy();
  act(() => held.discardDraft());
  expect(screen.getByLabelText<HTMLInputElement>('Claim').value).toBe('It feeds');
  expect([held.base, readKept('draft.test')]).toEqual([3, undefined]);
});

test('a draft from before the form had a field takes that field from the record', async () => {
  writeKept('draft.test', { text: { saidBy: 'a neighbour' }, at: '2026-02-20T10:00:00.000Z', version: 1 });
  render(<Form />);
  await waitFor(() => expect(held.form.getValues()).toEqual({ statement: 'It feeds', saidBy: 'a neighbour' }));
});

test('after a save the next one is over the version just made, and typing holds the version it began on', async () => {
  const { rerender } = render(<Form version={1} />);
  await userEvent.type(screen.getByLabelText('Claim'), '!');
  rerender(<Form version={2} />);
  expect(held.base).toBe(1);
  act(() => held.forgetDraft());
  expect(held.base).toBe(2);
});

test('the server’s refusal lands on its field', async () => {
  render(<Form />);
  act(() => held.showProblems([{ path: 'statement', message: 'That was said before.' }]));
  expect(await screen.findByText('That was said before.')).toBeTruthy();
});

test('a store that cannot be read or written costs nothing but the convenience', () => {
  localStorage.setItem('wheat-ledger.broken', '{not json');
  expect(readKept('broken')).toBeUndefined();
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('full');
  });
  expect(() => writeKept('x', 1)).not.toThrow();
  full.mockRestore();
});

function DayForm({ taken }: { taken: (day: unknown) => void }) {
  const form = useForm({ defaultValues: { seenOn: '2026-03-14' } });
  return (
    <FormProvider {...form}>
      <form onSubmit={(e) => void form.handleSubmit((v) => taken(v.seenOn))(e)}>
        <DayField name="seenOn" label="Seen on" />
        <button>Save</button>
      </form>
    </FormProvider>
  );
}
test('a day is shown one way, typed any way, and kept as it was typed where it could be two', async () => {
  const taken = jest.fn();
  render(<DayForm taken={taken} />);
  const field = screen.getByLabelText<HTMLInputElement>('Seen on');
  expect(field.value).toBe('14 Mar 2026');
  await userEvent.clear(field);
  await userEvent.type(field, '2 April 2026');
  await userEvent.tab();
  expect(field.value).toBe('2 Apr 2026');
  await userEvent.click(screen.getByText('Save'));
  await waitFor(() => expect(taken).toHaveBeenLastCalledWith('2026-04-02'));
  await userEvent.clear(field);
  await userEvent.type(field, '3/4/2026');
  await userEvent.tab();
  expect(field.value).toBe('3/4/2026');
});
