// Lists of the whole installation, from the command line: a file and a name take one over, --back NAME takes it back, nothing tells them all.
import { MikroORM } from '@mikro-orm/postgresql';
import { NestFactory } from '@nestjs/core';
import { AppModule } from './app.module.js';
import { readConfig } from './config.js';
import { migrate } from './database/orm.js';
import { sharedLists } from './sharedLists.js';

const [first, name, currency] = process.argv.slice(2);
const app = await NestFactory.createApplicationContext(AppModule.with(readConfig(process.env)), { logger: false });
try {
  await migrate(app.get(MikroORM));
  if (first === undefined) console.log(await sharedLists.all(app));
  else if (name === undefined) throw new Error('Expected a CSV file and the name of the list, or --back and its name.');
  else if (first === '--back') console.log(await sharedLists.back(app, name));
  else console.log(await sharedLists.take(app, first, name, currency));
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
} finally {
  await app.close();
}
