import { Migration } from '@mikro-orm/migrations';

/** A label gives several rates, each for ground, plant, row, water or medium: the one rate and the one dilution become the first of them. */
export class Migration0006Directions extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table product add column directions jsonb');
    this.addSql(`update product set directions = (
      select jsonb_agg(jsonb_build_object('use', '', 'unit', split_part(old.unit, '/', 1), 'amount', old.amount, 'per', jsonb_build_object(
        'amount', coalesce(substring(old.unit from '/([0-9]+) ')::int, 1),
        'unit', regexp_replace(split_part(old.unit, '/', 2), '^[0-9]+ ', '') || old.of)) || case when old.per_year is null then '{}'::jsonb else jsonb_build_object('perYear', old.per_year) end)
      from (values
        (label_rate ->> 'unit', label_rate -> 'amount', label_rate -> 'perYear', ''),
        (dilution ->> 'unit', dilution -> 'amount', null, ' of water')) as old (unit, amount, per_year, of)
      where old.unit is not null and old.amount::float > 0)`);
    this.addSql('alter table product drop column label_rate, drop column dilution');
  }

  override async down(): Promise<void> {
    this.addSql('alter table product add column label_rate jsonb, add column dilution jsonb');
    this.addSql(`update product set label_rate = (
      select jsonb_build_object('amount', d -> 'amount', 'unit', (d ->> 'unit') || '/' || case when d -> 'per' ->> 'amount' = '1' then '' else (d -> 'per' ->> 'amount') || ' ' end || (d -> 'per' ->> 'unit'), 'perYear', coalesce(d -> 'perYear', '1'))
      from jsonb_array_elements(directions) d
      where (d ->> 'unit') || '/' || (d -> 'per' ->> 'amount') || ' ' || (d -> 'per' ->> 'unit') in ('kg/1 ha', 'g/1 m²', 'kg/1 m²', 'lb/1 acre', 'lb/1000 ft²', 'lb/100 ft²', 'L/1 m²', 'mL/1 m²', 'L/1 ha') limit 1),
      dilution = (
      select jsonb_build_object('amount', d -> 'amount', 'unit', (d ->> 'unit') || '/L')
      from jsonb_array_elements(directions) d
      where d ->> 'unit' in ('mL', 'g') and d -> 'per' ->> 'unit' = 'L of water' and d -> 'per' ->> 'amount' = '1' limit 1)
      where jsonb_typeof(directions) = 'array'`);
    this.addSql('alter table product drop column directions');
  }
}
