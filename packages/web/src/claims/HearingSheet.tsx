import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { dosed, studyName, type ClaimRecord, type StudyRecord } from '@wheat-ledger/contract';
import {
  claimKind,
  formatGivenRange,
  libraryCrop,
  practicesFor,
  printDay,
  READ_FIRST,
  READING_LIST,
  type Judgement,
  type Practice,
  type PracticeCost,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { today } from '../app/today';
import { useShelfWith, type ShelfProduct } from '../app/workspace';
import { FormPart } from '../ui/EditForm';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { ForestPicture } from './ForestPicture';
import { JudgementSheet } from './JudgementSheet';
import { SlipsAnswer } from './SlipsPart';
import { useJudge } from './useJudge';
import { WorthAnswer } from './WorthPart';

const COST_WORDS: Readonly<Record<PracticeCost, string>> = {
  nothing: 'costs nothing but the work',
  little: 'costs little',
  some: 'costs something',
};
/** What can be done without buying it. */
const Practices = ({ practices }: { practices: readonly Practice[] }) => (
  <ul className="ml-5 list-disc">
    {practices.map((p) => (
      <li key={p.key}>
        <b>{p.name}.</b> {p.how}{' '}
        <span className="text-faint">
          It {COST_WORDS[p.cost]}; about {formatGivenRange(p.hoursPer100M2)} hours on 100 m² a season.
        </span>
      </li>
    ))}
  </ul>
);

/** What was read, each with where it stands. */
function Sources({ studies, kind }: { studies: readonly StudyRecord[]; kind: string }) {
  const bearing = READING_LIST.filter((r) => claimKind(kind).reading.includes(r.key));
  if (studies.length === 0 && bearing.length === 0) return <p>No study is entered for it.</p>;
  return (
    <ul className="ml-5 list-disc text-[0.9375rem]">
      {studies.map((s) => (
        <li key={s.id}>
          {studyName(s)}: {s.title}
          {s.source && `. ${s.source}`}
          {s.doi && `. DOI ${s.doi}`}
          {s.sample && <b> (sample, invented)</b>}
        </li>
      ))}
      {bearing.map((r) => (
        <li key={r.key}>
          {r.record} ({r.kind}). {READ_FIRST}
        </li>
      ))}
    </ul>
  );
}

/** What to ask before it is bought: what its kind asks, and what the checks could not find. */
function questions({ checks }: Judgement, kind: string, bag: string): readonly string[] {
  const open = (key: string): boolean =>
    checks.some((c) => c.check === key && (c.answer === 'cannotTell' || c.answer === 'notYet'));
  return [
    claimKind(kind).ask,
    ...(open('content') ? [`Which figures stand on the label of ${bag}, and is there a lab slip of this lot?`] : []),
    ...(open('dose') ? ['How many g go on a square metre, and how often?'] : []),
    ...(open('evidence') ? ['Which trials, where, against what, and who paid for them?'] : []),
    ...(open('harm') ? ['What are its salt index and its metals?'] : []),
  ];
}

function Found({ record, shelf }: { record: ClaimRecord; shelf: readonly ShelfProduct[] }) {
  const judgeClaim = useJudge([record.productId], shelf);
  const { records } = useRecords('study');
  const judgement = useMemo(() => judgeClaim(record), [judgeClaim, record]);
  const product = shelf.find((s) => s.record.id === record.productId)?.product;
  if (!judgement || !product) return <Empty>Restore the bag it is said of to judge it.</Empty>;
  const kind = record.kind ?? (record.needs.length > 0 ? 'supplies' : 'other');
  const counted = (record.studies ?? []).flatMap(({ studyId }) => records.find((s) => s.id === studyId) ?? []);
  const practices = practicesFor(kind);
  const alternative = judgement.checks.find((c) => c.check === 'alternative');
  return (
    <article className="flex flex-col gap-5 print:gap-3 print:[zoom:0.8]" data-testid="hearing-sheet">
      <p>
        Said by {record.saidBy || 'nobody named'} of <b>{product.name}</b>, for{' '}
        {(libraryCrop(record.crop)?.name ?? record.crop).toLowerCase()}.
        {record.countable && ` Restated as something to count: ${record.countable}.`} Judged on {printDay(today())}.
      </p>
      <JudgementSheet judgement={judgement} overrule={record.overrule} />
      <FormPart title="What trials found">
        {counted.some((s) => s.sample) && (
          <Remark tone="note">Studies of the sample are invented. They show how this works and prove nothing.</Remark>
        )}
        <p className="mb-2">{judgement.evidence.text}</p>
        <ForestPicture evidence={judgement.evidence} less={record.less ?? false} />
      </FormPart>
      {record.stake && (
        <FormPart title="Is it worth it?">
          <WorthAnswer
            product={dosed(product, record)}
            evidence={judgement.evidence}
            stake={record.stake}
            less={record.less ?? false}
          />
        </FormPart>
      )}
      {record.slips && (
        <FormPart title="Is this bag short?">
          <SlipsAnswer product={product} slips={{ slips: record.slips, tolerance: record.tolerance }} />
        </FormPart>
      )}
      <FormPart title="What to do instead">
        {alternative && record.needs.length > 0 && <p className="mb-1">{alternative.text}</p>}
        <Practices practices={practices} />
      </FormPart>
      <FormPart title="What to ask">
        <ul className="ml-5 list-disc">
          {questions(judgement, kind, product.name).map((q) => (
            <li key={q}>{q}</li>
          ))}
        </ul>
      </FormPart>
      <FormPart title="Sources">
        <Sources studies={counted} kind={kind} />
      </FormPart>
      <p className="text-sm text-faint">
        Worked out from what the label says and what was entered here. Follow the label and local code; where it can do
        harm, ask a licensed adviser.
      </p>
    </article>
  );
}

/** One claim on a page to take to the shop or send to a neighbour. */
export function HearingSheet() {
  const { id } = useParams();
  const { records, isLoading } = useRecords('claim');
  const record = records.find((r) => r.id === id);
  const { shelf, isLoading: shelfLoading } = useShelfWith(record ? [record.productId] : []);
  if (isLoading || shelfLoading) return <Loading what="the claim" />;
  return (
    <Sheet
      title={record ? `“${record.statement}”` : 'No such claim'}
      question="One page to take to the shop or send to a neighbour."
      actions={
        <>
          <Link to={record ? `/claims/${record.id}` : '/claims'} className="action">
            {record ? 'The claim' : 'The claims'}
          </Link>
          <PrintButton />
        </>
      }
    >
      {record ? <Found record={record} shelf={shelf} /> : <Empty>It was taken out, or was never here.</Empty>}
    </Sheet>
  );
}
