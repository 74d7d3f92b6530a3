import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Paper } from './paper.js';

/** A paper kept as text, by what it is. */
export interface PaperText extends Paper {
  readonly kind: 'label' | 'measured' | 'slip';
}

const HEAD = /^%%% (label|measured|slip) \| (.+)$/;
const TRUTH = /^=> (figures|packages|grade): (.*)$/;
const list = (told: string | undefined): readonly string[] => (told === undefined ? [] : told.split('; '));

function paperOf(block: string): PaperText {
  const [head = '', ...rest] = block.split('\n');
  const [, kind, name] = HEAD.exec(head) ?? [];
  const told = new Map(
    rest.flatMap((line) => {
      const [, what, words] = TRUTH.exec(line) ?? [];
      return what === undefined ? [] : [[what, words ?? ''] as const];
    }),
  );
  if (kind === undefined || name === undefined || !told.has('figures')) throw new Error(`no paper: ${head}`);
  const grade = told.get('grade');
  return {
    kind: kind as PaperText['kind'],
    name,
    text: rest
      .filter((line) => !TRUTH.test(line))
      .join('\n')
      .trimEnd(),
    figures: list(told.get('figures') || undefined),
    packages: list(told.get('packages')),
    ...(grade === undefined ? {} : { grade }),
    ...(kind === 'measured' ? { measured: true } : {}),
  };
}

const FOLDER = join(__dirname, 'texts');
/** Papers of ten lines and more with what a careful reader takes from each: a head `%%% kind | name`, the text, and the truth behind `=>`. */
export const PAPER_TEXTS: readonly PaperText[] = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.txt'))
  .sort()
  .flatMap((file) =>
    readFileSync(join(FOLDER, file), 'utf8')
      .split(/^(?=%%% )/m)
      .filter((block) => block.trim() !== '')
      .map(paperOf),
  );
