import { useMemo } from 'react';
import { useRecords } from '../app/api';
import { useBench } from '../app/bench';
import { usePlot, useShelf } from '../app/workspace';

const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** What each stage still lacks, or what it has, in three or four words. */
export function useLacks(): Readonly<Record<string, string>> {
  const { shelf } = useShelf();
  const { compared } = useBench();
  const { plot } = usePlot();
  const { records: recipes } = useRecords('recipe');
  const { records: claims } = useRecords('claim');
  const { records: entries } = useRecords('entry');
  const { records: trials } = useRecords('trial');
  return useMemo(() => {
    const unpriced = compared.filter((p) => !p.offers.some((o) => o.price)).length;
    const bench = compared.length < 2 ? 'needs 2 on the bench' : undefined;
    return {
      '/ground': !plot ? 'needs a plot' : plot.pH === undefined ? 'pH not measured' : `pH ${plot.pH}`,
      '/shelf': shelf.length === 0 ? 'needs a bag' : counted(shelf.length, 'bag'),
      '/price': bench ?? (unpriced > 0 ? `${unpriced} without a price` : 'all priced'),
      '/release': bench ?? (plot ? counted(compared.length, 'curve') : 'needs a plot'),
      '/mix': shelf.length === 0 ? 'needs a bag' : counted(recipes.length, 'recipe'),
      '/rounds': entries.length === 0 ? 'nothing logged' : counted(entries.length, 'log entry', 'log entries'),
      '/claims': counted(claims.length, 'claim'),
      '/trials': counted(trials.length, 'trial'),
      '/book': 'every change',
    };
  }, [shelf, compared, plot, recipes, claims, entries, trials]);
}
