import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type {
  DirectionInput,
  IncubationInput,
  LongevityInput,
  OrganicInput,
  OwnFigureInput,
} from '@wheat-ledger/contract';
import type { AnalysisUnit, Analyte, Basis, Origin, ProductForm, Provenance } from '@wheat-ledger/core';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'product' })
export class ProductEntity extends Stored {
  @Property({ type: 'text' })
  seller!: string;

  @Property({ type: 'text' })
  form!: ProductForm;

  @Property({ type: 'double', fieldName: 'density_kg_per_l', nullable: true })
  densityKgPerL: number | null = null;

  @Property({ type: 'text', nullable: true })
  grade: string | null = null;

  @Property({ type: 'json', fieldName: 'derived_from' })
  derivedFrom: string[] = [];

  @Property({ type: 'json', nullable: true })
  directions: DirectionInput[] | null = null;

  @Property({ type: 'json', nullable: true })
  longevity: LongevityInput | null = null;

  @Property({ type: 'json', nullable: true })
  incubation: IncubationInput | null = null;

  @Property({ type: 'json', fieldName: 'own_figures', nullable: true })
  ownFigures: OwnFigureInput[] | null = null;

  @Property({ type: 'text' })
  note!: string;

  @Property({ type: 'text', fieldName: 'label_text', nullable: true })
  labelText: string | null = null;

  @Property({ type: 'json', nullable: true })
  organic: OrganicInput | null = null;

  @Property({ type: 'json', nullable: true })
  origins: Origin[] | null = null;

  /** The plain fields of the contract's table, by their key. */
  @Property({ type: 'json' })
  details: Readonly<Record<string, string | number>> = {};
}

/** One declared figure: what, as declared, in which unit and basis, from where. */
@Entity({ tableName: 'analysis_figure' })
export class AnalysisLine {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'uuid', fieldName: 'product_id' })
  product!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'text' })
  analyte!: Analyte;

  @Property({ type: 'text' })
  basis!: Basis;

  @Property({ type: 'text' })
  kind!: 'number' | 'range' | 'below';

  /** The number, or the middle of the range; empty when below a limit. */
  @Property({ type: 'double', nullable: true })
  value: number | null = null;

  @Property({ type: 'double', nullable: true })
  low: number | null = null;

  /** The high end of a range, or the limit of detection. */
  @Property({ type: 'double', nullable: true })
  high: number | null = null;

  @Property({ type: 'text' })
  unit!: AnalysisUnit;

  @Property({ type: 'text' })
  provenance!: Provenance;

  @Property({ type: 'text' })
  source!: string;

  @Property({ type: 'text', nullable: true })
  extract: 'available' | null = null;
}

@Entity({ tableName: 'offer' })
export class OfferLine {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'uuid', fieldName: 'product_id' })
  product!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'double' })
  size!: number;

  @Property({ type: 'text' })
  unit!: string;

  /** Exact decimal, read and written as text. */
  @Property({ type: 'decimal', precision: 13, scale: 4, nullable: true })
  price: string | null = null;

  @Property({ type: 'text', nullable: true })
  currency: string | null = null;

  @Property({ type: 'date', fieldName: 'seen_on', nullable: true })
  seenOn: string | null = null;

  @Property({ type: 'text', nullable: true })
  seller: string | null = null;
}

/** A bag with its lines. */
export interface ProductRow extends ProductEntity {
  readonly analysis: readonly AnalysisLine[];
  readonly offers: readonly OfferLine[];
}
