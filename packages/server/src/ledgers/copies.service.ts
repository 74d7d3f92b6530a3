import { HttpStatus, Injectable } from '@nestjs/common';
import {
  kindOf,
  referencesAt,
  RECORD_KINDS,
  type CopyDone,
  type CopyInput,
  type Kept,
  type RecordKind,
} from '@wheat-ledger/contract';
import { ownId, withIds } from '../common/ownIds.js';
import { ProblemException } from '../common/problems.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { inputOf } from '../records/inputOf.js';
import { Operations } from '../records/operations.js';
import { Stores } from '../records/stores.service.js';
import { LedgersService } from './ledgers.service.js';

/** Photos stay with their ledger: their bytes are kept apart. */
const NOT_COPIED: readonly RecordKind[] = ['attachment'];

type Found = Readonly<Record<RecordKind, Map<string, object>>>;

/** Copies a record of another ledger, with what it refers to, into the one of the request. */
@Injectable()
export class CopiesService {
  constructor(
    private readonly stores: Stores,
    private readonly ledgers: LedgersService,
    private readonly operations: Operations,
    private readonly scope: WorkspaceScope,
  ) {}

  /** Copying once more adds nothing: a copy's id follows from the ledger and the record. */
  async copy({ from, kind, id }: CopyInput): Promise<CopyDone> {
    if (NOT_COPIED.includes(kind))
      throw new ProblemException(
        'not-copied',
        HttpStatus.UNPROCESSABLE_ENTITY,
        `A ${kindOf(kind).word} stays with its ledger.`,
      );
    const there = await this.ledgers.idOf(from);
    const found = await this.scope.run({ id: there, who: this.scope.who }, () => this.withReferences(kind, id));
    const here = this.scope.id;
    const ids = RECORD_KINDS.flatMap((k) => [...found[k].keys()]);
    const names = new Map(ids.map((old) => [old, there === here ? old : ownId(here, old)]));
    let added = 0;
    let operation: string | null = null;
    await this.operations.run(
      async () => {
        for (const k of RECORD_KINDS) {
          const store = this.stores.of(k);
          const wanted = [...found[k]].map(([old, input]) => ({
            id: names.get(old) ?? old,
            input: withIds(input, names) as object,
          }));
          const known = await store.known(wanted.map((w) => w.id));
          const fresh = wanted.filter((w) => !known.has(w.id));
          if (fresh.length === 0) continue;
          await store.createMany(fresh);
          added += fresh.length;
          operation = await this.operations.current();
        }
      },
      { why: `copy from the ledger ${from}` },
    );
    return { operation, id: names.get(id) ?? id, added, alreadyHere: ids.length - added };
  }

  /** A record and everything it refers to, by kind. */
  private async withReferences(kind: RecordKind, id: string): Promise<Found> {
    const found = Object.fromEntries(RECORD_KINDS.map((k) => [k, new Map()])) as unknown as Found;
    const take = async (k: RecordKind, which: string): Promise<void> => {
      if (found[k].has(which)) return;
      const record: Kept = await this.stores.of(k).get(which);
      const input = inputOf(record);
      found[k].set(which, input);
      for (const { at, to } of kindOf(k).refers)
        for (const other of referencesAt(input, at)) await take(to as RecordKind, other);
    };
    await take(kind, id);
    return found;
  }
}
