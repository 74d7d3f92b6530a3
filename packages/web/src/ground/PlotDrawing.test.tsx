import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { plotArea, type Shape } from '@wheat-ledger/core';
import { PlotDrawing } from './PlotDrawing';

// An L of 12 m² gone round from the end of one arm, (4, 2): corner 2 is the bend.
const FROM_THE_ARM: Extract<Shape, { kind: 'polygon' }> = {
  kind: 'polygon',
  sidesM: [2, 2, 2, 4, 4, 2],
  diagonalsM: [Math.hypot(2, 2), Math.hypot(4, 2), Math.hypot(4, 2)],
};
function Bed() {
  const [shape, setShape] = useState(FROM_THE_ARM);
  return (
    <>
      <PlotDrawing shape={shape} onTurns={(turns) => setShape({ ...shape, ...turns })} />
      <output>{plotArea(shape).value.mid.toFixed(3)}</output>
    </>
  );
}
const area = (): string => screen.getByRole('status').textContent ?? '';

test('a corner is turned in by one press, and the drawing and area follow; where two outlines fit, one chooses', async () => {
  render(<Bed />);
  expect(area()).toBe('16.000');
  await userEvent.click(screen.getByRole('button', { name: 'Corner 2 turns out' }));
  expect(screen.getByRole('button', { name: 'Corner 2 turns in' }).getAttribute('aria-pressed')).toBe('true');
  const seen = [area()];
  const another = screen.queryByRole('button', { name: 'Show another' });
  if (another) {
    await userEvent.click(another);
    seen.push(area());
  }
  expect(seen).toContain('12.000');
});

test('by key as well: Enter and the space bar turn a corner', async () => {
  render(<Bed />);
  screen.getByRole('button', { name: 'Corner 2 turns out' }).focus();
  await userEvent.keyboard('{Enter}');
  screen.getByRole('button', { name: 'Corner 2 turns in' }).focus();
  await userEvent.keyboard(' ');
  expect(area()).toBe('16.000');
});
