// The app's server as a child process.
import { spawn } from 'node:child_process';
import { SERVER_MAIN, WEB_ROOT } from './build.mjs';
import { ROOT, stop } from './run.mjs';

/** Starts the server and resolves, once it listens, with { address, child, stop() }. */
export function startServer(
  databaseUrl,
  { port = 0, sample = true, inherit = false, webRoot = WEB_ROOT, onPid = undefined, priceFeed = '', scale = '' } = {},
) {
  const child = spawn(process.execPath, [SERVER_MAIN], {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', 'pipe', inherit ? 'inherit' : 'pipe'],
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      WEB_ROOT: webRoot,
      WHEAT_LEDGER_SAMPLE: sample ? 'yes' : 'no',
      PRICE_FEED: priceFeed,
      SCALE: scale,
      NODE_ENV: 'production',
    },
  });
  onPid?.(child.pid);
  return new Promise((resolve, reject) => {
    let said = '';
    const tooLate = setTimeout(() => {
      void stop(child);
      reject(new Error(`The server did not start in 60 s.\n${said}`));
    }, 60_000);
    child.stderr?.on('data', (d) => (said = (said + d).slice(-4000)));
    child.once('close', (code) => {
      clearTimeout(tooLate);
      reject(new Error(`The server ended with ${code}.\n${said}`));
    });
    child.stdout.on('data', (d) => {
      said = (said + d).slice(-4000);
      const address = /at (http:\/\/127\.0\.0\.1:\d+)/.exec(said)?.[1];
      if (!address) return;
      clearTimeout(tooLate);
      resolve({ address, child, stop: () => stop(child, 'SIGTERM') });
    });
  });
}
