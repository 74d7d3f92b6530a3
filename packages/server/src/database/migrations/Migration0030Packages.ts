import { Migration } from '@mikro-orm/migrations';
import { toProduct, type ProductInput } from '@wheat-ledger/contract';
import { catalogueFacts } from '@wheat-ledger/core';

const BATCH = 1000;

/** What is on sale of each product of a list: whole packages, where it is sold, and the row it came with; and the currencies of each list. */
export class Migration0030Packages extends Migration {
  override async up(): Promise<void> {
    const columns = `add column package_kg double precision[] not null default '{}',
      add column package_price double precision[] not null default '{}',
      add column place text not null default ''`;
    await this.execute(`alter table catalogue_product ${columns}, add column row integer`);
    await this.execute(`alter table catalogue_list add column currencies text[] not null default '{}'`);
    await this
      .execute(`update catalogue_list l set currencies = array(select distinct p.currency from catalogue_product p
      where p.workspace_id = l.workspace_id and p.list_id = l.id and p.currency is not null)`);
    await this.execute('delete from catalogue_staging');
    await this.execute(`alter table catalogue_staging ${columns}`);
    await this.fill();
  }

  /** Lists that are there already get the packages of their records. */
  private async fill(): Promise<void> {
    let after = '0';
    for (;;) {
      const rows = (await this.execute(
        `select p.id, p.currency, r.record from catalogue_product p join catalogue_record r on r.product_id = p.id
         where p.id > ? and p.currency is not null order by p.id limit ${BATCH}`,
        [after],
      )) as { id: string; currency: string; record: ProductInput }[];
      const last = rows.at(-1);
      if (!last) return;
      after = last.id;
      const found = rows.map(({ id, currency, record }) => {
        const { packages } = catalogueFacts(toProduct(record), currency);
        return { id, kg: packages.map((p) => p.kg), price: packages.map((p) => p.price) };
      });
      await this.execute(
        `update catalogue_product p set package_kg = f.kg, package_price = f.price
         from jsonb_to_recordset(?::jsonb) as f (id bigint, kg double precision[], price double precision[]) where f.id = p.id`,
        [JSON.stringify(found)],
      );
    }
  }

  override async down(): Promise<void> {
    const columns = 'drop column package_kg, drop column package_price, drop column place';
    this.addSql('alter table catalogue_list drop column currencies');
    this.addSql(`alter table catalogue_product ${columns}, drop column row`);
    this.addSql(`alter table catalogue_staging ${columns}`);
  }
}
