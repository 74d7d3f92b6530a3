import { Fragment, useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { toClaim, type ClaimRecord } from '@wheat-ledger/contract';
import {
  ANSWER_WORDS,
  CHECKS,
  exclusions,
  runningVerdict,
  shortBag,
  type Answer,
  type Exclusion,
  type Judgement,
  type Product,
  type Verdict,
} from '@wheat-ledger/core';
import { useBenchPlaces } from '../app/bench';
import { useRecords } from '../app/api';
import { useShelfWith, type ShelfProduct } from '../app/workspace';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { useJudge } from './useJudge';
import { answerInk, verdictInk } from './verdictInk';

/** One mark for each answer; its word stands behind it for those who do not see it. */
const MARKS: Readonly<Record<Answer, string>> = {
  supports: '+',
  against: '−',
  cannotTell: '?',
  notRelevant: '·',
  notYet: '…',
};
interface Judged {
  readonly record: ClaimRecord;
  readonly judgement: Judgement;
}
interface OfProduct {
  readonly product: Product;
  readonly seller: string;
  readonly claims: readonly Judged[];
  readonly excluded: readonly Exclusion[];
}

const verdictNow = ({ record, judgement }: Judged): Verdict => record.overrule?.verdict ?? judgement.verdict;

function ClaimLine({ judged }: { judged: Judged }) {
  const { record, judgement } = judged;
  const verdict = verdictNow(judged);
  return (
    <tr>
      <th scope="row" className="min-w-44 font-normal">
        <Link to={`/claims/${record.id}`} className="plain">
          “{record.statement}”
        </Link>
      </th>
      <td className="whitespace-nowrap">
        <span className={`font-slab font-semibold ${verdictInk(verdict)}`}>{verdict}</span>
        {judgement.couldHarm && <span className="text-sm text-beet"> · could do harm</span>}
        <span className="block text-sm text-faint">{judgement.use}</span>
      </td>
      {judgement.checks.map((c) => {
        const answer = c.note?.answer ?? c.answer;
        return (
          <td key={c.check} className={`text-center text-lg font-semibold ${answerInk(answer)}`} title={c.text}>
            <span aria-hidden="true">{MARKS[answer]}</span>
            <span className="sr-only">{ANSWER_WORDS[answer]}</span>
          </td>
        );
      })}
    </tr>
  );
}

function ProductClaims({ product, claims, excluded }: OfProduct) {
  return (
    <Fragment>
      <tr className="break-after-avoid">
        <th colSpan={CHECKS.length + 2} scope="rowgroup" className="pt-4 text-left text-lg">
          <Link to={`/shelf/${product.id}`} className="hover:underline">
            {product.name}
          </Link>
        </th>
      </tr>
      {claims.map((judged) => (
        <ClaimLine key={judged.record.id} judged={judged} />
      ))}
      {excluded.map(({ one, other, why }) => (
        <tr key={`${one} ${other}`} data-testid="excluded">
          <td colSpan={CHECKS.length + 2} className="[&>p]:max-w-[82vw]">
            <Remark tone="caution">
              “{claims[one]?.record.statement}” and “{claims[other]?.record.statement}” exclude each other: {why}.
            </Remark>
          </td>
        </tr>
      ))}
    </Fragment>
  );
}

/** What the lab slips of each seller come to over all their bags. */
function Sellers({ products }: { products: readonly OfProduct[] }) {
  const sellers = new Map<string, { tolerance: number; findings: ReturnType<typeof shortBag>['findings'] }>();
  for (const { product, seller, claims } of products)
    for (const { record } of claims) {
      if (!record.slips || seller === '') continue;
      const { findings } = shortBag(product, { slips: record.slips, tolerance: record.tolerance });
      const before = sellers.get(seller);
      sellers.set(seller, {
        tolerance: Math.max(before?.tolerance ?? 0, record.tolerance ?? 0),
        // A lot is a lot of its own bag.
        findings: [
          ...(before?.findings ?? []),
          ...findings.map((f) => ({ ...f, lot: f.lot && `${product.id} ${f.lot}` })),
        ],
      });
    }
  if (sellers.size === 0) return null;
  return (
    <section className="mt-5" data-testid="sellers">
      <h2 className="mb-1 border-b border-line-strong pb-1 text-lg">Are their bags short?</h2>
      <ul className="ml-5 list-disc">
        {[...sellers].map(([seller, { findings, tolerance }]) => (
          <li key={seller}>
            <b>{seller}:</b> {runningVerdict(findings, tolerance).text}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Claims by their bags, each judged, with those that exclude each other. */
function useByProduct(records: readonly ClaimRecord[], shelf: readonly ShelfProduct[]): readonly OfProduct[] {
  const judgeClaim = useJudge(
    records.map((r) => r.productId),
    shelf,
  );
  return useMemo(
    () =>
      shelf.flatMap(({ record: bag, product }): OfProduct[] => {
        const claims = records.flatMap((record): Judged[] => {
          const judgement = record.productId === bag.id ? judgeClaim(record) : undefined;
          return judgement ? [{ record, judgement }] : [];
        });
        if (claims.length === 0) return [];
        const excluded = exclusions(claims.map(({ record }) => toClaim(record, product)));
        return [{ product, seller: bag.seller, claims, excluded }];
      }),
    [records, shelf, judgeClaim],
  );
}

/** Claims side by side: all of them, those of the bags on the bench, or all of one bag. */
export function CompareClaims() {
  const { productId } = useParams();
  const [search, setSearch] = useSearchParams();
  const onBench = search.get('of') === 'bench';
  const { places } = useBenchPlaces();
  const { records, isLoading } = useRecords('claim');
  const wanted = useMemo(
    () =>
      records.filter((r) =>
        productId !== undefined
          ? r.productId === productId
          : !onBench || places.some((place) => place.id === r.productId),
      ),
    [records, productId, onBench, places],
  );
  const { shelf, isLoading: shelfLoading } = useShelfWith(wanted.map((r) => r.productId));
  const products = useByProduct(wanted, shelf);
  if (isLoading || shelfLoading) return <Loading what="the claims" />;
  const [only] = products;
  return (
    <Sheet
      title={
        productId !== undefined ? `All that is said of ${only?.product.name ?? 'this bag'}` : 'Claims side by side'
      }
      question="Which promise stands, and what decides it?"
      actions={
        <>
          <Link to="/claims" className="action">
            The claims
          </Link>
          <PrintButton />
        </>
      }
    >
      {productId === undefined && (
        <label className="no-print mb-2 flex items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4 accent-wheat"
            checked={onBench}
            onChange={(e) => setSearch(e.target.checked ? { of: 'bench' } : {})}
          />
          only of the bags on the bench
        </label>
      )}
      {products.length === 0 ? (
        <Empty>
          {onBench ? 'Nothing is claimed of what lies on the bench.' : 'No claim is written down.'} Take a claim apart
          first.
        </Empty>
      ) : (
        <div className="relative overflow-x-auto">
          <table className="ledger" data-testid="compared">
            <caption className="sr-only">Claims with the answers of the nine checks</caption>
            <thead>
              <tr>
                <th scope="col">Claim</th>
                <th scope="col">Verdict</th>
                {CHECKS.map((c) => (
                  <th key={c.key} scope="col" title={c.question} className="!px-1 align-bottom text-xs">
                    <span className="[writing-mode:vertical-rl]">{c.name}</span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {products.map((p) => (
                <ProductClaims key={p.product.id} {...p} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-2 text-sm text-faint">
        {(Object.keys(MARKS) as Answer[]).map((a) => `${MARKS[a]} ${ANSWER_WORDS[a]}`).join(', ')}.
      </p>
      <Sellers products={products} />
      <MarginNotes>
        <MarginNote title="How to read it">
          <p>
            A row is a claim, a column one of the nine checks. Under each verdict stands of what use it is to you: a
            true claim can be useless here.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
