import { randomUUID } from 'node:crypto';
import { EntityManager, UniqueConstraintViolationException } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { Ledger, LedgerInput } from '@wheat-ledger/contract';
import { notFound } from '../common/problems.js';
import { Workspace } from './workspace.entity.js';

const MOST_TRIES = 50;

/** A name as a part of an address. @example slugOf('Rosewood & Sons') // 'rosewood-sons' */
export const slugOf = (name: string): string =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50) || 'ledger';

/** The ledgers of this installation: one for each gardener somebody keeps books for. */
@Injectable()
export class LedgersService {
  constructor(private readonly em: EntityManager) {}

  async list(): Promise<readonly Ledger[]> {
    return (await this.em.find(Workspace, {}, { orderBy: { name: 'asc', slug: 'asc' } })).map(toLedger);
  }

  /** @throws ProblemException 404 */
  async idOf(slug: string): Promise<string> {
    return (await this.load(this.em.fork(), slug)).id;
  }

  /** A new, empty ledger; two of one name get addresses of their own. */
  async create({ name }: LedgerInput): Promise<Ledger> {
    for (let n = 1; n <= MOST_TRIES; n++) {
      const slug = n === 1 ? slugOf(name) : `${slugOf(name)}-${n}`;
      try {
        await this.em.insert(Workspace, { id: randomUUID(), name, slug });
        return { slug, name };
      } catch (error) {
        if (!(error instanceof UniqueConstraintViolationException)) throw error;
      }
    }
    throw new Error('No free address for a ledger of that name.');
  }

  /** The name changes, the address stays. */
  async rename(slug: string, { name }: LedgerInput): Promise<Ledger> {
    const ledger = await this.load(this.em, slug);
    ledger.name = name;
    await this.em.flush();
    return toLedger(ledger);
  }

  private async load(em: EntityManager, slug: string): Promise<Workspace> {
    const ledger = await em.findOne(Workspace, { slug });
    if (!ledger) throw notFound('ledger');
    return ledger;
  }
}

const toLedger = ({ slug, name }: Workspace): Ledger => ({ slug, name });
