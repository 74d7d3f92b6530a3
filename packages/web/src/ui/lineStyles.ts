/** Lines are told apart by dash and mark first, and by the number of the bag on the bench. */
export const LINE_STYLES = [
  { dash: '', ink: 'var(--n)' },
  { dash: '7 3', ink: 'var(--p)' },
  { dash: '2 3', ink: 'var(--k)' },
  { dash: '10 3 2 3', ink: 'var(--slate)' },
  { dash: '4 4', ink: 'var(--mg)' },
  { dash: '12 4', ink: 'var(--beet)' },
  { dash: '1 4', ink: 'var(--ca)' },
  { dash: '8 2 2 2 2 2', ink: 'var(--s)' },
] as const;
export const styleOf = (i: number) => LINE_STYLES[i % LINE_STYLES.length] ?? LINE_STYLES[0];
