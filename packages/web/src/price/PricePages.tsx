import type { ReactNode } from 'react';
import { useBench } from '../app/bench';
import { FillBench } from '../ui/FillBench';
import { Pages, type PageList } from '../ui/Pages';
import { PrintButton } from '../ui/PrintButton';
import { Loading, Sheet } from '../ui/Sheet';
import { CountedPart } from './CountedPart';

const PAGES: PageList = [
  ['', 'Each nutrient'],
  ['/worth', 'What it is worth'],
  ['/in-time', 'In time'],
  ['/season', 'A season'],
  ['/rules', 'Rules'],
  ['/history', 'History'],
  ['/list', 'A seller’s list'],
];

interface PricePageProps {
  readonly question: string;
  /** Why bags are wanted on the bench; missing where the page needs none. */
  readonly empty?: string;
  /** Whether work and other money count on it. */
  readonly counts?: boolean;
  readonly children: ReactNode;
}
/** A page of prices: its question, the tabs to the others, and the page itself once something lies on the bench. */
export function PricePage({ question, empty, counts = true, children }: PricePageProps) {
  const { compared, isLoading } = useBench();
  if (isLoading) return <Loading what="the bench" />;
  return (
    <Sheet title="Price" question={question} actions={<PrintButton />}>
      <Pages label="Ways to look at prices" base="/price" pages={PAGES} />
      {counts && <CountedPart />}
      {compared.length === 0 && empty !== undefined ? <FillBench what={empty} /> : children}
    </Sheet>
  );
}
