import { Pages, type PageList } from '../ui/Pages';

const PAGES: PageList = [
  ['', 'Every change'],
  ['/year', 'A plot’s year'],
  ['/leaf', 'Leaf tests'],
];
/** The pages of the book. */
export const BookPages = () => <Pages label="Pages of the book" base="/book" pages={PAGES} />;
