import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../../test/show';
import { Glossary } from './Glossary';
import { Term } from './Term';
import { TERMS } from './terms';

const all = Object.values(TERMS) as readonly (readonly [string, string])[];

test('some sixty terms, each once and each in one sentence that can be read in a breath', () => {
  expect(all.length).toBeGreaterThanOrEqual(60);
  expect(new Set(all.map(([term]) => term.toLowerCase())).size).toBe(all.length);
  for (const [term, says] of all) {
    expect([term, says]).toEqual([term, expect.stringMatching(/^[A-Z7].*[^.]\.$/)]);
    // One sentence: no full stop but the last, numbers apart.
    expect([
      term,
      says
        .slice(0, -1)
        .replace(/\d\.\d/g, '')
        .includes('.'),
    ]).toEqual([term, false]);
    expect([term, says.length <= 160]).toEqual([term, true]);
  }
});

test('a word opens to its sentence where it stands, and closes by Escape, by itself and by a press elsewhere', async () => {
  await show(
    <p>
      A <Term of="EC">conductivity</Term> and more
    </p>,
  );
  const word = screen.getByRole('button', { name: 'conductivity' });
  await userEvent.click(word);
  const note = await screen.findByRole('note');
  expect(note.textContent).toBe(TERMS.EC[1]);
  expect(word.getAttribute('aria-describedby')).toBe(note.id);
  await userEvent.keyboard('{Escape}');
  expect(screen.queryByRole('note')).toBeNull();
  await userEvent.click(word);
  await screen.findByRole('note');
  await userEvent.click(word);
  await waitFor(() => expect(screen.queryByRole('note')).toBeNull());
  await userEvent.click(word);
  await screen.findByRole('note');
  await userEvent.click(screen.getByText(/and more/));
  expect(screen.queryByRole('note')).toBeNull();
});

test('all words together, narrowed by what is typed', async () => {
  await show(<Glossary />);
  expect(screen.getByTestId('glossary').querySelectorAll('dt')).toHaveLength(all.length);
  await userEvent.type(screen.getByLabelText('Find a word'), 'sodium');
  const found = [...screen.getByTestId('glossary').querySelectorAll('dt')].map((dt) => dt.textContent);
  expect(found).toContain('ESP, exchangeable sodium');
  expect(found).not.toContain('grade');
  await userEvent.type(screen.getByLabelText('Find a word'), 'zzz');
  expect(screen.getByText('No word here is called “sodiumzzz”.')).toBeTruthy();
});
