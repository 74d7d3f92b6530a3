import { usePlot, useShelf } from '../app/workspace';
import { TakeOverSheet } from '../ui/TakeOverSheet';
import { readLogCsv } from './readLogCsv';

/** Takes over a spreadsheet of what was done. */
export function TakeOverLog() {
  const { plots } = usePlot();
  const { shelf } = useShelf();
  const bags = shelf.map((s) => ({ id: s.record.id, name: s.product.name }));
  return (
    <TakeOverSheet
      kind="entry"
      what="log entries"
      label="A spreadsheet of what was done, as CSV"
      read={(text) => readLogCsv(text, plots, bags)}
    />
  );
}
