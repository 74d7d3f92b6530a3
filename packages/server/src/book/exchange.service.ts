import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import {
  ClaimInput, PlotInput, ProductInput, RecipeInput, SoilReportInput, validateInput, WORKSPACE_FORMAT, WORKSPACE_LISTS, WORKSPACE_VERSION,
  type FieldProblem, type ImportReport, type Kept, type WorkspaceList,
} from '@wheat-ledger/contract';
import { ProblemException } from '../common/problems.js';
import { Stores, type AnyStore } from './stores.service.js';

const INPUTS: Readonly<Record<WorkspaceList, new () => object>> = { plots: PlotInput, products: ProductInput, soilReports: SoilReportInput, recipes: RecipeInput, claims: ClaimInput };
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
/** More problems than this help nobody. */
const MOST_PROBLEMS = 100;
const MOST_RECORDS = 50_000;

interface Candidate {
  readonly path: string;
  readonly id: string;
  readonly removed: boolean;
  readonly input: object;
  readonly store: AnyStore;
}

/** Thrown inside the transaction of a trial run to take everything back. */
class TakeBack extends Error {}

const unreadable = (detail: string): ProblemException => new ProblemException('unreadable-file', HttpStatus.UNPROCESSABLE_ENTITY, detail);

/** The whole workspace out to one file, and back in. */
@Injectable()
export class ExchangeService {
  constructor(
    private readonly em: EntityManager,
    private readonly stores: Stores,
  ) {}

  /** The file in pieces, page by page, so that no table is ever whole in memory. */
  async *export(): AsyncGenerator<string> {
    yield `{"format":${JSON.stringify(WORKSPACE_FORMAT)},"version":${WORKSPACE_VERSION}`;
    for (const { list, kind } of WORKSPACE_LISTS) {
      yield `,\n"${list}":[`;
      let separator = '\n';
      for await (const record of this.all(this.stores.of(kind))) {
        yield separator + JSON.stringify(record);
        separator = ',\n';
      }
      yield ']';
    }
    yield '}\n';
  }

  private async *all(store: AnyStore): AsyncGenerator<object> {
    for (const removed of [false, true]) {
      let after: string | undefined;
      do {
        const page = await store.list({ after, limit: 500, removed });
        for (const record of page.items) yield exchanged(record);
        after = page.next ?? undefined;
      } while (after);
    }
  }

  /**
   * Reads a file: everything is tried in one transaction, which is kept only when asked to and when nothing is wrong.
   * Records whose id is here already are left as they are.
   * @throws ProblemException 422 when it is no workspace file at all
   */
  async import(file: unknown, write: boolean): Promise<ImportReport> {
    const { candidates, found, problems } = this.read(file);
    let added = 0;
    let alreadyHere = 0;
    const attempt = async (): Promise<void> => {
      await this.em.transactional(async (em) => {
        for (const candidate of candidates) {
          if (problems.length >= MOST_PROBLEMS) break;
          const outcome = await this.add(candidate);
          // What was written is in the transaction; holding it in memory too would slow every next record.
          em.clear();
          if (outcome === 'here') alreadyHere += 1;
          else if (outcome === 'added') added += 1;
          else problems.push(...outcome);
        }
        if (!write || problems.length > 0) throw new TakeBack();
      });
    };
    await attempt().catch((error: unknown) => {
      if (!(error instanceof TakeBack)) throw error;
    });
    return { found, added, alreadyHere, problems: problems.slice(0, MOST_PROBLEMS), written: write && problems.length === 0 };
  }

  private read(file: unknown): { readonly candidates: readonly Candidate[]; readonly found: ImportReport['found']; readonly problems: FieldProblem[] } {
    if (typeof file !== 'object' || file === null || (file as { format?: unknown }).format !== WORKSPACE_FORMAT) throw unreadable(`Expected a file whose format is "${WORKSPACE_FORMAT}".`);
    const { version } = file as { version?: unknown };
    if (version !== WORKSPACE_VERSION) throw unreadable(`Read version ${JSON.stringify(version) ?? 'none'}, expected ${WORKSPACE_VERSION}.`);
    const lists = file as Readonly<Partial<Record<WorkspaceList, unknown>>>;
    const problems: FieldProblem[] = [];
    const found = { plots: 0, products: 0, soilReports: 0, recipes: 0, claims: 0 };
    const candidates = WORKSPACE_LISTS.flatMap(({ list, kind }) => {
      const records = lists[list] ?? [];
      if (!Array.isArray(records)) throw unreadable(`Expected ${list} as a list.`);
      found[list] = records.length;
      if (records.length > MOST_RECORDS) throw unreadable(`Read ${records.length} ${list}, expected at most ${MOST_RECORDS}.`);
      return records.flatMap((record: unknown, i): Candidate[] => {
        const path = `${list}.${i}`;
        const { id, removed, ...input } = (typeof record === 'object' && record !== null ? record : {}) as { id?: unknown; removed?: unknown };
        if (typeof id !== 'string' || !UUID.test(id)) problems.push({ path: `${path}.id`, message: 'Expected an id such as 3f2b8c1e-….' });
        const result = validateInput(INPUTS[list], input);
        if (!result.ok) problems.push(...result.problems.map((p) => ({ path: `${path}.${p.path}`, message: p.message })));
        return result.ok && typeof id === 'string' && UUID.test(id) ? [{ path, id, removed: removed === true, input: result.value, store: this.stores.of(kind) }] : [];
      });
    });
    return { candidates, found, problems };
  }

  private async add({ path, id, removed, input, store }: Candidate): Promise<'added' | 'here' | readonly FieldProblem[]> {
    if (await store.has(id)) return 'here';
    try {
      const made = await store.create(input, id);
      if (removed) await store.remove(id, made.version);
      return 'added';
    } catch (error) {
      if (error instanceof ProblemException && error.extra.errors) return error.extra.errors.map((p) => ({ path: `${path}.${p.path}`, message: p.message }));
      throw error;
    }
  }
}

/** What the server adds to an input stays behind, but for the id and whether it was taken out. */
function exchanged(record: Kept): object {
  const own = Object.fromEntries(Object.entries(record).filter(([field]) => !['version', 'updatedAt', 'deletedAt'].includes(field)));
  return record.deletedAt === null ? own : { ...own, removed: true };
}
