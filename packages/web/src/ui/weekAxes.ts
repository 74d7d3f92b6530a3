/** How weeks and nitrogen are drawn along the edges of every chart of a season. */
/** Ink and letters of every axis. */
export const EDGE = { stroke: 'var(--faint)', tick: { fontSize: 13 } } as const;

export const WEEK_AXIS = {
  ...EDGE,
  dataKey: 'week',
  type: 'number',
  domain: [0, 26] as [number, number],
  ticks: [0, 4, 8, 12, 16, 20, 24, 26],
  label: { value: 'weeks after planting', position: 'insideBottom', offset: -10, fill: 'var(--faint)', fontSize: 13 },
} as const satisfies object;

/** @param words what is counted, such as kg N/ha */
export const nitrogenAxis = (words: string) =>
  ({
    ...EDGE,
    width: 52,
    label: { value: words, angle: -90, position: 'insideLeft', fill: 'var(--faint)', fontSize: 13, dy: 30 },
  }) as const;
