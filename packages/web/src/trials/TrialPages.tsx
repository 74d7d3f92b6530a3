import { Pages, type PageList } from '../ui/Pages';
import { Empty, Sheet } from '../ui/Sheet';

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

/** Where the trial of an address is not there. */
export const NoTrial = () => (
  <Sheet title="No such trial" question="It was taken out, or was never here.">
    <Empty>What was taken out can be restored from the book.</Empty>
  </Sheet>
);
