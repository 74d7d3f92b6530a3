import { fireEvent, render, screen } from '@testing-library/react';
import { PartSlider, splitPart } from './PartSlider';

test('the number of a part and what stands behind it', () => {
  expect(splitPart('4')).toEqual({ value: 4, rest: '' });
  expect(splitPart('1/2')).toEqual({ value: 0.5, rest: '' });
  expect(splitPart('2 US cup')).toEqual({ value: 2, rest: ' US cup' });
  expect([splitPart(''), splitPart('a few')]).toEqual([undefined, undefined]);
});

test('moved, it keeps its unit; what cannot be read has nothing to move', () => {
  const moved: string[] = [];
  const { rerender } = render(<PartSlider label="Move" text="2 US cup" onMove={(t) => moved.push(t)} />);
  fireEvent.change(screen.getByLabelText('Move'), { target: { value: '3' } });
  expect(moved).toEqual(['3 US cup']);
  rerender(<PartSlider label="Move" text="many" onMove={() => undefined} />);
  expect(screen.queryByLabelText('Move')).toBeNull();
});
