import { layOut } from './layout.js';
import { blockBoxes, moved, offPlot, overlapping, placesInRows, unitPlaces } from './places.js';

const size = { widthM: 0.5, depthM: 0.4 };
const units = layOut('blocks', 3, 2, 5);
const rows = placesInRows(units, size);

test('blocks stand one below the other: 0.4 m deep, 0.3 m between', () => {
  expect(rows).toEqual([
    { xM: 0, yM: 0 },
    { xM: 0, yM: 0.7 },
  ]);
  const at = unitPlaces(units, size, rows);
  const last = at.get(6)!;
  expect([last.xM, last.yM]).toEqual([2 * (0.5 + 0.1), 0.7]);
  expect(blockBoxes(units, size, rows)[1]!.widthM).toBeCloseTo(3 * 0.5 + 2 * 0.1, 12);
  expect(overlapping(blockBoxes(units, size, rows))).toEqual([]);
});

test('without blocks all units move as one', () => {
  const mixed = layOut('random', 2, 3, 5);
  const places = placesInRows(mixed, size);
  expect(places).toHaveLength(1);
  expect(unitPlaces(mixed, size, [{ xM: 1, yM: 2 }]).get(6)).toEqual({ xM: 1 + 0.6, yM: 2 + 1 });
  expect(blockBoxes(mixed, size, places)[0]!.depthM).toBeCloseTo(3 * 0.4 + 2 * 0.1, 12);
});

test('a block moves in steps of 0.1 m, with its units, and not off the plot', () => {
  expect(moved(rows, 1, { xM: 0.26, yM: -0.12 })).toEqual([rows[0], { xM: 0.3, yM: 0.6 }]);
  expect(moved(rows, 0, { xM: -3, yM: 0.1 })[0]).toEqual({ xM: 0, yM: 0.1 });
  const at = unitPlaces(units, size, moved(rows, 1, { xM: 2, yM: -0.7 }));
  expect(at.get(1)).toEqual({ xM: 0, yM: 0 });
  expect(at.get(4)).toEqual({ xM: 2, yM: 0 });
});

test('blocks that lie on each other are told, those that touch are not', () => {
  const boxes = (places: typeof rows) => blockBoxes(units, size, places);
  expect(overlapping(boxes(moved(rows, 1, { xM: 0, yM: -0.4 })))).toEqual([[0, 1]]);
  expect(overlapping(boxes(moved(rows, 1, { xM: 0, yM: -0.3 })))).toEqual([]);
  expect(overlapping(boxes(moved(rows, 1, { xM: 1.7, yM: -0.7 })))).toEqual([]);
});

test('a block that reaches beyond the plot is told; one that ends at its edge is not', () => {
  const boxes = blockBoxes(units, size, rows);
  expect(offPlot(boxes, { widthM: 1.7, depthM: 1.1 })).toEqual([]);
  expect(offPlot(boxes, { widthM: 1.7, depthM: 1 })).toEqual([1]);
  expect(offPlot(boxes, { widthM: 1.6, depthM: 2 })).toEqual([0, 1]);
});
