import { createApp } from './createApp.js';
import { readConfig } from './config.js';
import { loadSample } from './database/sample.js';
import { startWords } from './startWords.js';

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const app = await createApp(config);
  if (config.sample) await loadSample(app);
  await app.listen(config.port, '127.0.0.1');
  const address = app.getHttpServer().address() as { port: number };
  console.log(`Wheat Ledger is at http://127.0.0.1:${address.port}`);
}

main().catch((error: unknown) => {
  const words = startWords(error);
  console.error(words ?? error);
  process.exit(1);
});
