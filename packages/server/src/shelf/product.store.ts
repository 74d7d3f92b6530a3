import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import {
  PLAIN_FIELDS,
  productProblems,
  type AnalysisFigureInput,
  type DeclaredValueInput,
  type FieldProblem,
  type OfferInput,
  type ProductInput,
} from '@wheat-ledger/contract';
import { Operations } from '../records/operations.js';
import { plainAmount } from '@wheat-ledger/core';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { AnalysisLine, OfferLine, ProductEntity, type ProductRow } from './product.entity.js';

/** Fields that may be missing and are kept as they are. */
const OWN_FIELDS = ['labelText', 'origins'] as const;
const OBJECT_FIELDS = ['directions', 'longevity', 'organic', 'incubation', 'ownFigures'] as const;

@Injectable()
export class ProductStore extends RecordStore<ProductRow, ProductInput> {
  readonly kind = 'product';
  protected readonly entity = ProductEntity;
  protected override readonly lines = [
    { property: 'analysis', entity: AnalysisLine, owner: 'product' },
    { property: 'offers', entity: OfferLine, owner: 'product' },
  ];

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  /** Label contradictions only warn; impossible values and bases that are not the element's own are refused here too. */
  protected override async problems(input: ProductInput): Promise<readonly FieldProblem[]> {
    return productProblems(input);
  }

  protected columns(input: ProductInput): Columns {
    const { name, seller, form, derivedFrom, note } = input;
    return {
      own: {
        name,
        seller,
        form,
        derivedFrom,
        note,
        densityKgPerL: input.densityKgPerL ?? null,
        grade: input.grade || null,
        ...Object.fromEntries(
          OBJECT_FIELDS.map((field) => [field, input[field] ? instanceToPlain(input[field]) : null]),
        ),
        ...Object.fromEntries(OWN_FIELDS.map((field) => [field, input[field] ?? null])),
        details: Object.fromEntries(
          PLAIN_FIELDS.flatMap(({ key }) => ((input[key] ?? '') === '' ? [] : [[key, input[key]]])),
        ),
      },
      lines: { analysis: input.analysis.map(analysisColumns), offers: input.offers.map(offerColumns) },
    };
  }

  protected toInput(product: ProductRow): ProductInput {
    const { name, seller, form, derivedFrom, note } = product;
    return {
      name,
      seller,
      form,
      analysis: product.analysis.map(toAnalysis),
      derivedFrom,
      offers: product.offers.map(toOffer),
      note,
      ...product.details,
      ...Object.fromEntries(
        [...OBJECT_FIELDS, ...OWN_FIELDS, 'densityKgPerL' as const, 'grade' as const].flatMap((field) =>
          product[field] === null ? [] : [[field, product[field]]],
        ),
      ),
    };
  }
}

const analysisColumns = ({ analyte, basis, value: v, unit, provenance, source, extract }: AnalysisFigureInput) => ({
  analyte,
  basis,
  unit,
  provenance,
  source,
  extract: extract ?? null,
  kind: v.kind,
  value: v.kind === 'number' ? (v.value ?? null) : v.kind === 'range' ? (v.mid ?? null) : null,
  low: v.kind === 'range' ? (v.low ?? null) : null,
  high: v.kind === 'range' ? (v.high ?? null) : v.kind === 'below' ? (v.limit ?? null) : null,
});

function toValue({ kind, value, low, high }: AnalysisLine): DeclaredValueInput {
  switch (kind) {
    case 'number':
      return { kind, value: value ?? 0 };
    case 'range':
      return { kind, low: low ?? 0, mid: value ?? 0, high: high ?? 0 };
    case 'below':
      return { kind, limit: high ?? 0 };
  }
}

const toAnalysis = (line: AnalysisLine): AnalysisFigureInput => {
  const { analyte, basis, unit, provenance, source, extract } = line;
  return { analyte, basis, value: toValue(line), unit, provenance, source, ...(extract === null ? {} : { extract }) };
};

const offerColumns = ({ size, unit, price, seenOn, seller }: OfferInput) => ({
  size,
  unit,
  price: price?.amount ?? null,
  currency: price?.currency ?? null,
  seenOn: seenOn ?? null,
  seller: seller || null,
});

const toOffer = ({ size, unit, price, currency, seenOn, seller }: OfferLine): OfferInput => ({
  size,
  unit,
  ...(price !== null && currency !== null ? { price: { amount: plainAmount(price), currency } } : {}),
  ...(seenOn === null ? {} : { seenOn }),
  ...(seller === null ? {} : { seller }),
});
