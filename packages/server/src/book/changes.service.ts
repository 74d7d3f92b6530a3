import { Injectable } from '@nestjs/common';
import {
  KIND_INPUTS,
  RECORD_KINDS,
  validateInput,
  type ChangeInput,
  type FieldProblem,
  type Kept,
  type OperationDone,
  type OperationInput,
} from '@wheat-ledger/contract';
import { invalid, ProblemException } from '../common/problems.js';
import { Operations } from '../records/operations.js';
import { Stores } from '../records/stores.service.js';

/** Several changes for one reason, across kinds, as one operation. */
@Injectable()
export class ChangesService {
  constructor(
    private readonly stores: Stores,
    private readonly operations: Operations,
  ) {}

  /** @throws ProblemException for the first change that does not fit, with its place; then nothing was changed at all */
  async make({ why, changes }: OperationInput): Promise<OperationDone> {
    const inputs = changes.map((change, i) => checked(change, `changes.${i}`));
    return this.operations.run(
      async () => {
        await this.holdAll(changes, inputs);
        const records: Kept[] = [];
        for (const [i, change] of changes.entries())
          records.push(await placed(`changes.${i}`, () => this.change(change, inputs[i])));
        return { operation: await this.operations.current(), records };
      },
      { why },
    );
  }

  /** Holds all that is going to change before anything does, kind by kind and by id: who comes second waits for the first and not both for each other. */
  private async holdAll(changes: readonly ChangeInput[], inputs: readonly (object | undefined)[]): Promise<void> {
    for (const kind of RECORD_KINDS) {
      const own = changes.flatMap((change, i) => (change.kind === kind ? [{ change, input: inputs[i] }] : []));
      if (own.length === 0) continue;
      const store = this.stores.of(kind);
      await store.hold(own.flatMap(({ change: { action, id } }) => (action !== 'create' && id ? [id] : [])));
      await store.holdScarce(
        own.flatMap(({ change: { action }, input }) => (action === 'create' && input ? [input] : [])),
      );
    }
  }

  private change({ kind, action, id = '', version = 0 }: ChangeInput, input: object = {}): Promise<Kept> {
    const store = this.stores.of(kind);
    switch (action) {
      case 'create':
        return store.create(input, id || undefined);
      case 'update':
        return store.update(id, version, input);
      case 'remove':
        return store.remove(id, version);
      case 'restore':
        return store.restore(id, version);
    }
  }
}

/** The input a change brings, as its own kind's; none where it only takes out or puts back. */
function checked({ kind, action, id, version, input }: ChangeInput, path: string): object | undefined {
  const missing = (field: string, what: string): FieldProblem => ({ path: `${path}.${field}`, message: what });
  const problems = [
    ...(action !== 'create' && id === undefined ? [missing('id', 'Expected the id of the record to change.')] : []),
    ...(action !== 'create' && version === undefined ? [missing('version', 'Expected the version you saw.')] : []),
  ];
  if (action === 'remove' || action === 'restore') {
    if (problems.length > 0) throw invalid(problems);
    return undefined;
  }
  const read = validateInput<object>(KIND_INPUTS[kind], input ?? {});
  if (!read.ok) problems.push(...read.problems.map((p) => ({ ...p, path: `${path}.input.${p.path}` })));
  if (problems.length > 0 || !read.ok) throw invalid(problems);
  return read.value;
}

/** What a store refuses, told with the place of the change it refuses. */
async function placed<T>(path: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof ProblemException)) throw error;
    const { errors = [{ path: '', message: error.detail }], ...rest } = error.extra;
    throw new ProblemException(error.code, error.getStatus(), error.detail, {
      ...rest,
      errors: errors.map((e) => ({ ...e, path: e.path === '' ? path : `${path}.input.${e.path}` })),
    });
  }
}
