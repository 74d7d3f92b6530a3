import type { Option } from '../ui/Field';
import { OnPaper } from '../ui/OnPaper';
import { DEPTH_LABELS, WHERES, type ProgrammeText } from './programmeText';

/** The rows of a programme as they were typed, for paper. */
export const GivenOnPaper = ({
  text,
  options,
  ground,
}: {
  text: ProgrammeText;
  options: readonly Option[];
  ground: string;
}) => (
  <OnPaper title="What is given">
    <p>{ground}</p>
    <ol className="mt-2 list-decimal pl-6">
      {text.applications.map((row, i) => {
        const depth = row.depth && DEPTH_LABELS[row.where] ? `, ${row.depth}` : '';
        const where = WHERES.find((w) => w.value === row.where)?.text ?? row.where;
        return (
          <li key={i} className="py-1">
            <b>{options.find((o) => o.value === row.what)?.text ?? 'Something that is not here'}</b>: {row.amount},{' '}
            {row.when}, {where}
            {depth}
            {row.share !== 'all' && `, on ${row.share}`}
          </li>
        );
      })}
    </ol>
  </OnPaper>
);
