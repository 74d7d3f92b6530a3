import { Pages, type PageList } from '../ui/Pages';

const PAGES: PageList = [
  ['', 'Plan'],
  ['/map', 'Map'],
  ['/sheet', 'Measure'],
  ['/read', 'Reading'],
];
/** The pages of one trial. */
export const TrialPages = ({ id }: { id: string }) => (
  <Pages label="Pages of the trial" base={`/trials/${id}`} pages={PAGES} />
);
