/** What the find box is like, before and after it has been fetched. */
export const FIND_FIELD = {
  id: 'find',
  'aria-label': 'Find a bag or a stage',
  placeholder: 'Find a bag',
  autoComplete: 'off',
  className: 'field !w-28 sm:!w-32 xl:!w-40',
} as const;
