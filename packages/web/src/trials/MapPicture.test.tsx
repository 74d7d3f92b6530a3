import { fireEvent, render, screen } from '@testing-library/react';
import { layOut, placesInRows, type Place } from '@wheat-ledger/core';
import { MapPicture } from './MapPicture';

const size = { widthM: 0.5, depthM: 0.5 };
const units = layOut('blocks', 2, 3, 7);
const rows = placesInRows(units, size);

function show(places: readonly Place[], given: Partial<Parameters<typeof MapPicture>[0]> = {}) {
  const moved: (readonly Place[])[] = [];
  render(
    <MapPicture
      units={units}
      size={size}
      places={places}
      plot={undefined}
      arms={undefined}
      odd={new Set([2])}
      onMove={(next) => moved.push(next)}
      {...given}
    />,
  );
  return moved;
}

test('arrow keys move a block by 0.1 m, with Shift by 1 m; off the upper left it does not go', () => {
  const moved = show(rows);
  const second = screen.getByRole('group', { name: /^Block 2, 0 m from the left and 0.8 m from the top/ });
  fireEvent.keyDown(second, { key: 'ArrowRight' });
  fireEvent.keyDown(second, { key: 'ArrowDown', shiftKey: true });
  fireEvent.keyDown(second, { key: 'ArrowLeft' });
  fireEvent.keyDown(second, { key: 'a' });
  expect(moved.map((places) => places[1])).toEqual([
    { xM: 0.1, yM: 0.8 },
    { xM: 0, yM: 1.8 },
  ]);
});

test('only codes stand on it until the key is shown', () => {
  show(rows);
  expect(screen.getByText(units[0]!.code)).toBeTruthy();
  expect(screen.queryByText('Water')).toBeNull();
});

test('with the key each unit says its arm', () => {
  show(rows, { arms: ['Water', 'Ferment'] });
  expect(screen.getAllByText('Water')).toHaveLength(3);
});

test('blocks that lie on each other, and one beyond the plot, are told', () => {
  const places = [rows[0]!, { xM: 0.2, yM: 0.1 }, { xM: 5, yM: 0 }];
  show(places, { plot: { widthM: 5.5, depthM: 3 } });
  const told = screen.getAllByRole('alert').map((e) => e.textContent);
  expect(told).toEqual(['Block 3 reaches beyond the plot, which is 5.5 × 3 m.', 'Blocks 1 and 2 lie on each other.']);
});
