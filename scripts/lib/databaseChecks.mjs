// What the program needs of a PostgreSQL that is not its own: managed or distributed.
import pg from 'pg';

const LEAST_VERSION = 130_000;

/** Each need as [what, whether it is there, what to do]. Changes nothing. @throws Error where the database cannot be reached */
export async function databaseChecks(url) {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 10_000 });
  await client.connect();
  const one = async (sql) => Object.values((await client.query(sql)).rows[0] ?? {})[0];
  try {
    const version = Number(await one("select current_setting('server_version_num')"));
    const lock = await one('select pg_try_advisory_lock(4180002)');
    if (lock) await one('select pg_advisory_unlock(4180002)');
    const isolation = await one("select current_setting('default_transaction_isolation')");
    return [
      ['PostgreSQL 13 or newer', version >= LEAST_VERSION, `found ${await one('show server_version')}`],
      [
        'text in UTF-8',
        (await one("select current_setting('server_encoding')")) === 'UTF8',
        'make the database with encoding UTF8',
      ],
      ['writable', (await one('select pg_is_in_recovery()')) === false, 'this is a copy that only follows another'],
      [
        'tables may be made',
        await one(
          "select has_database_privilege(current_database(), 'CREATE') and has_schema_privilege('public', 'CREATE')",
        ),
        'grant create on the database and on its schema public',
      ],
      [
        'the extension pg_trgm',
        (await one("select count(*) from pg_available_extensions where name = 'pg_trgm'")) === '1',
        'allow it, or install the contributed extensions',
      ],
      [
        'transactions read committed unless they say otherwise',
        isolation === 'read committed',
        `default_transaction_isolation is ${isolation}`,
      ],
      ['advisory locks', lock === true, 'two servers would migrate it at the same time'],
      ['numbers that count up by themselves (identity columns)', version >= 100_000, 'found an older server'],
    ];
  } finally {
    await client.end();
  }
}
