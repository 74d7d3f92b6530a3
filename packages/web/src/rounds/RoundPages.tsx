import { Pages, type PageList } from '../ui/Pages';

const PAGES: PageList = [
  ['', 'Today'],
  ['/weeks', 'Weeks'],
  ['/log', 'Log'],
  ['/buy', 'To buy'],
  ['/dose', 'Doses'],
  ['/can', 'Cans'],
  ['/plant', 'Plants'],
];
/** The pages of the rounds. */
export const RoundPages = () => <Pages label="Pages of the rounds" base="/rounds" pages={PAGES} />;
