import { createApp } from './createApp.js';
import { readConfig } from './config.js';
import { loadSample } from './database/sample.js';

const config = readConfig(process.env);
const app = await createApp(config);
if (config.sample) await loadSample(app);
await app.listen(config.port, '127.0.0.1');
const address = app.getHttpServer().address() as { port: number };
console.log(`Wheat Ledger is at http://127.0.0.1:${address.port}`);
