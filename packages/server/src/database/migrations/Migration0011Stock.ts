import { Migration } from '@mikro-orm/migrations';
import { KEPT } from './kept.js';

/** Stock is what came and went. What stood in the bag becomes a count, with its entry in the book. */
export class Migration0011Stock extends Migration {
  override async up(): Promise<void> {
    this.addSql(`create table stock_movement (${KEPT},
      product_id uuid not null,
      amount double precision not null check (amount <> 0),
      unit text not null,
      reason text not null,
      on_day date not null,
      lot text not null,
      note text not null,
      unique (workspace_id, id),
      foreign key (workspace_id, product_id) references product (workspace_id, id))`);
    this.addSql(
      'create index stock_movement_by_day on stock_movement (workspace_id, on_day, id) where deleted_at is null',
    );
    this.addSql(
      'create index stock_movement_removed on stock_movement (workspace_id, on_day, id) where deleted_at is not null',
    );
    this.addSql(
      'create index stock_movement_of_product on stock_movement (workspace_id, product_id) where deleted_at is null',
    );
    this
      .addSql(`insert into stock_movement (id, workspace_id, name, product_id, amount, unit, reason, on_day, lot, note)
      select gen_random_uuid(), workspace_id, (stock ->> 'amount') || ' ' || (stock ->> 'unit') || ' set right by a count', id,
        (stock ->> 'amount')::float, stock ->> 'unit', 'counted', updated_at::date, '', ''
      from product where stock is not null and (stock ->> 'amount')::float <> 0`);
    this.addSql(`with moved as (select m.*, gen_random_uuid() as operation from stock_movement m),
      meant as (insert into operation (id, workspace_id, at, who, why) select operation, workspace_id, now(), 'gardener', 'stock moved out of the bag' from moved)
      insert into journal (workspace_id, at, who, kind, record_id, name, action, operation, before, after)
      select workspace_id, now(), 'gardener', 'movement', id, name, 'create', operation, null,
        jsonb_build_object('productId', product_id, 'amount', amount, 'unit', unit, 'reason', reason, 'on', on_day, 'lot', lot, 'note', note)
      from moved`);
    this.addSql('alter table product drop column stock');
  }

  override async down(): Promise<void> {
    this.addSql('alter table product add column stock jsonb');
    this.addSql(`update product p set stock = jsonb_build_object('amount', held.amount, 'unit', held.unit)
      from (select workspace_id, product_id, min(unit) as unit, sum(amount) as amount from stock_movement where deleted_at is null
        group by workspace_id, product_id having count(distinct unit) = 1) held
      where held.product_id = p.id and held.workspace_id = p.workspace_id and held.amount >= 0`);
    this.addSql('drop table stock_movement');
    this.addSql('alter table journal disable trigger journal_append_only');
    this.addSql(`delete from journal where kind = 'movement'`);
    this.addSql('alter table journal enable trigger journal_append_only');
  }
}
