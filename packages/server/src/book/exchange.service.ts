import { randomUUID } from 'node:crypto';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable, type StreamableFile } from '@nestjs/common';
import {
  BenchInput,
  ofToday,
  validateInput,
  WORKSPACE_FORMAT,
  KIND_INPUTS,
  KINDS,
  RECORD_KINDS,
  seasonOfToday,
  stockOfToday,
  WORKSPACE_VERSION,
  WORKSPACE_VERSIONS,
  type AttachmentInput,
  type FieldProblem,
  type ImportReport,
  type Kept,
  type WorkspaceList,
} from '@wheat-ledger/contract';
import { Gate } from '../common/gate.js';
import { ProblemException } from '../common/problems.js';
import { snapshot } from '../common/snapshot.js';
import { ownId, withIds } from '../common/ownIds.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { BenchService } from '../ledgers/bench.service.js';
import { inputOf } from '../records/inputOf.js';
import { Operations } from '../records/operations.js';
import type { NewRecord } from '../records/shapes.js';
import { AttachmentStore } from '../shelf/attachment.store.js';
import { Stores, type AnyStore } from '../records/stores.service.js';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[45][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
/** More problems than this help nobody. */
const MOST_PROBLEMS = 100;
const MOST_RECORDS = 50_000;
/** Photos and PDFs: more than would ever fit in the room there is for them. */
const MOST_CONTENTS = 5000;

interface Candidate extends NewRecord<object> {
  readonly list: WorkspaceList;
  readonly path: string;
  readonly id: string;
}

type Lists = Readonly<Partial<Record<WorkspaceList, unknown>>>;

/** What records of an older file hold that are records of their own today, always under the same ids. */
function movedOut(records: unknown, part: string, of: (id: string, record: object) => object | undefined): object[] {
  return (Array.isArray(records) ? (records as readonly unknown[]) : []).flatMap((record) => {
    const { id } = (record ?? {}) as { readonly id?: unknown };
    const own = typeof id === 'string' && UUID.test(id) ? of(id, record as object) : undefined;
    return own && typeof id === 'string' ? [{ id: ownId(id, part), ...own, ...removedWith(record as object) }] : [];
  });
}
const removedWith = ({ removed }: { readonly removed?: unknown }): object => (removed === true ? { removed } : {});

/** The stock and the seasons that an older file keeps in its bags and plots. */
function fromOlder({ products, plots, stockMovements, seasons }: Lists): Lists {
  const today = new Date().toISOString().slice(0, 10);
  const stock = movedOut(products, 'stock', (id, bag) => stockOfToday(id, bag, today));
  const grown = movedOut(plots, 'season', seasonOfToday);
  return {
    ...(stockMovements === undefined && stock.length > 0 ? { stockMovements: stock } : {}),
    ...(seasons === undefined && grown.length > 0 ? { seasons: grown } : {}),
  };
}

/** Thrown inside the transaction of a trial run to take everything back. */
class TakeBack extends Error {}

const unreadable = (detail: string): ProblemException =>
  new ProblemException('unreadable-file', HttpStatus.UNPROCESSABLE_ENTITY, detail);

/** The whole workspace out to one file, and back in. */
@Injectable()
export class ExchangeService {
  constructor(
    private readonly em: EntityManager,
    private readonly stores: Stores,
    private readonly attachments: AttachmentStore,
    private readonly scope: WorkspaceScope,
    private readonly operations: Operations,
    private readonly bench: BenchService,
  ) {}

  private readonly imports = new Gate('imports');

  /** The whole workspace as it stands at one moment. */
  file(): Promise<StreamableFile> {
    return snapshot(this.em, () => this.export(), { type: 'application/json', name: 'wheat-ledger.json' });
  }

  /** The file in pieces, page by page, so that no table is ever whole in memory. */
  private async *export(): AsyncGenerator<string> {
    yield `{"format":${JSON.stringify(WORKSPACE_FORMAT)},"version":${WORKSPACE_VERSION}`;
    for (const kind of RECORD_KINDS) {
      const { list } = KINDS[kind];
      yield `,\n"${list}":[`;
      let separator = '\n';
      for await (const record of this.all(this.stores.of(kind))) {
        yield separator + JSON.stringify(record);
        separator = ',\n';
      }
      yield ']';
    }
    yield* this.contents();
    yield `,\n"bench":${JSON.stringify((await this.bench.read()).places)}`;
    yield '}\n';
  }

  /** The bytes that attachments name, each once and one file at a time. */
  private async *contents(): AsyncGenerator<string> {
    yield ',\n"contents":[';
    const written = new Set<string>();
    for await (const record of this.all(this.stores.of('attachment'))) {
      const { sha256 } = record as AttachmentInput;
      if (written.has(sha256)) continue;
      yield `${written.size > 0 ? ',' : ''}\n${JSON.stringify({ sha256, base64: (await this.attachments.bytesOf(sha256)).toString('base64') })}`;
      written.add(sha256);
    }
    yield ']';
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
  import(file: unknown, write: boolean): Promise<ImportReport> {
    return this.imports.run(() => this.tried(file, write));
  }

  private async tried(file: unknown, write: boolean): Promise<ImportReport> {
    const { candidates: read, found, problems } = this.read(file);
    const { candidates, names } = await this.withOwnIds(read);
    const operation = randomUUID();
    let added = 0;
    let alreadyHere = 0;
    let benchLaid = false;
    const attempt = async (): Promise<void> => {
      const work = async (): Promise<void> => {
        problems.push(...(await this.keepContents(file)));
        for (const kind of RECORD_KINDS) {
          const { list } = KINDS[kind];
          if (problems.length >= MOST_PROBLEMS) break;
          const store = this.stores.of(kind);
          const mine = candidates.filter((c) => c.list === list);
          const here = await store.known(mine.map((c) => c.id));
          const fresh = mine.filter((c) => !here.has(c.id));
          const refused = await store.createMany(fresh);
          alreadyHere += mine.length - fresh.length;
          added += fresh.length - refused.size;
          for (const [i, found] of refused)
            problems.push(...found.map((p) => ({ path: `${fresh[i]?.path}.${p.path}`, message: p.message })));
        }
        if (problems.length === 0) benchLaid = await this.layBench(file, names, problems);
        if (!write || problems.length > 0) throw new TakeBack();
      };
      await this.operations.run(work, { id: operation, why: 'import of a ledger file' });
    };
    await attempt().catch((error: unknown) => {
      if (!(error instanceof TakeBack)) throw error;
    });
    return {
      found,
      added,
      alreadyHere,
      benchLaid,
      problems: problems.slice(0, MOST_PROBLEMS),
      operation: write && problems.length === 0 && added > 0 ? operation : null,
      written: write && problems.length === 0,
    };
  }

  /** An id that another workspace holds becomes one of our own, always the same one, and what refers to it follows. */
  private async withOwnIds(
    candidates: readonly Candidate[],
  ): Promise<{ readonly candidates: readonly Candidate[]; readonly names: ReadonlyMap<string, string> }> {
    const ours = new Map<string, string>();
    for (const kind of RECORD_KINDS) {
      const { list } = KINDS[kind];
      const ids = candidates.filter((c) => c.list === list).map((c) => c.id);
      for (const id of await this.stores.of(kind).heldElsewhere(ids)) ours.set(id, ownId(this.scope.id, id));
    }
    return {
      candidates:
        ours.size === 0
          ? candidates
          : candidates.map((c) => ({ ...c, id: ours.get(c.id) ?? c.id, input: withIds(c.input, ours) as object })),
      names: ours,
    };
  }

  /** Lays the file's bench where nothing lies yet: one that somebody laid here stays as it is. */
  private async layBench(
    file: unknown,
    names: ReadonlyMap<string, string>,
    problems: FieldProblem[],
  ): Promise<boolean> {
    const { bench } = file as { readonly bench?: unknown };
    if (bench === undefined || (await this.bench.read()).places.length > 0) return false;
    const read = validateInput(BenchInput, { places: withIds(structuredClone(bench), names) });
    const found = read.ok ? await this.bench.problems(read.value) : read.problems;
    problems.push(...found.map((p) => ({ ...p, path: `bench.${p.path.replace(/^places\.?/, '')}` })));
    if (!read.ok || found.length > 0 || read.value.places.length === 0) return false;
    await this.bench.lay(read.value);
    return true;
  }

  /** Takes the bytes in, each proven to be what its name says. */
  private async keepContents(file: unknown): Promise<FieldProblem[]> {
    const { contents = [] } = file as { contents?: unknown };
    if (!Array.isArray(contents)) throw unreadable('Expected contents as a list.');
    if (contents.length > MOST_CONTENTS)
      throw unreadable(`Read ${contents.length} contents, expected at most ${MOST_CONTENTS}.`);
    const problems: FieldProblem[] = [];
    for (const [i, content] of (contents as readonly unknown[]).entries()) {
      const { sha256, base64 } = (typeof content === 'object' && content !== null ? content : {}) as {
        sha256?: unknown;
        base64?: unknown;
      };
      try {
        const kept = await this.attachments.keep(Buffer.from(typeof base64 === 'string' ? base64 : '', 'base64'));
        if (kept.sha256 !== sha256)
          problems.push({ path: `contents.${i}.sha256`, message: 'These bytes are not what their name says.' });
      } catch (error) {
        if (!(error instanceof ProblemException)) throw error;
        problems.push({ path: `contents.${i}`, message: error.detail });
      }
    }
    return problems;
  }

  private read(file: unknown): {
    readonly candidates: readonly Candidate[];
    readonly found: ImportReport['found'];
    readonly problems: FieldProblem[];
  } {
    if (typeof file !== 'object' || file === null || (file as { format?: unknown }).format !== WORKSPACE_FORMAT)
      throw unreadable(`Expected a file whose format is "${WORKSPACE_FORMAT}".`);
    const { version } = file as { version?: unknown };
    if (!WORKSPACE_VERSIONS.includes(Number(version)))
      throw unreadable(`Read version ${JSON.stringify(version) ?? 'none'}, expected ${WORKSPACE_VERSION}.`);
    const lists = { ...(file as Lists), ...fromOlder(file) };
    const problems: FieldProblem[] = [];
    const found = Object.fromEntries(RECORD_KINDS.map((kind) => [KINDS[kind].list, 0])) as Record<
      WorkspaceList,
      number
    >;
    const candidates = RECORD_KINDS.flatMap((kind) => {
      const { list } = KINDS[kind];
      const records = lists[list] ?? [];
      if (!Array.isArray(records)) throw unreadable(`Expected ${list} as a list.`);
      found[list] = records.length;
      if (records.length > MOST_RECORDS)
        throw unreadable(`Read ${records.length} ${list}, expected at most ${MOST_RECORDS}.`);
      const seen = new Set<unknown>();
      return records.flatMap((record: unknown, i): Candidate[] => {
        const path = `${list}.${i}`;
        const { id, removed, ...input } = (typeof record === 'object' && record !== null ? record : {}) as {
          id?: unknown;
          removed?: unknown;
        };
        if (typeof id !== 'string' || !UUID.test(id))
          problems.push({ path: `${path}.id`, message: 'Expected an id such as 3f2b8c1e-….' });
        if (seen.has(id)) problems.push({ path: `${path}.id`, message: 'This id stands in the list twice.' });
        seen.add(id);
        const result = validateInput(KIND_INPUTS[kind] as new () => object, ofToday(kind, input));
        if (!result.ok)
          problems.push(...result.problems.map((p) => ({ path: `${path}.${p.path}`, message: p.message })));
        return result.ok && typeof id === 'string' && UUID.test(id)
          ? [{ list, path, id, removed: removed === true, input: result.value }]
          : [];
      });
    });
    return { candidates, found, problems };
  }
}

/** What the server adds to an input stays behind, but for the id and whether it was taken out. */
const exchanged = (record: Kept): object => ({
  id: record.id,
  ...inputOf(record),
  ...(record.deletedAt === null ? {} : { removed: true }),
});
