import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '../../..');
const read = (file: string): string => readFileSync(join(root, file), 'utf8');

test('no package runs a script when it is installed, and those that would are three, each with its reason', () => {
  expect(read('.npmrc')).toMatch(/^ignore-scripts=true$/m);
  const { packages } = JSON.parse(read('package-lock.json')) as {
    packages: Readonly<Record<string, { hasInstallScript?: boolean }>>;
  };
  const would = Object.entries(packages).flatMap(([path, p]) =>
    p.hasInstallScript ? [path.replace(/^.*node_modules\//, '')] : [],
  );
  const reasons = JSON.parse(read('scripts/lib/installScripts.json')) as Readonly<Record<string, string>>;
  expect([...new Set(would)].sort()).toEqual(Object.keys(reasons).sort());
  for (const reason of Object.values(reasons)) expect(reason.length).toBeGreaterThan(40);
});
