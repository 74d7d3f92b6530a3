// npm run words: every sentence a person can meet on screen, out of the sources into docs/words.md, to be read for plain words.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { ROOT } from './lib/run.mjs';

const ROOMS = ['packages/web/src', 'packages/core/src', 'packages/contract/src', 'packages/server/src'];
/** Attributes whose text is shown or read out. */
const SHOWN = new Set(['title', 'label', 'placeholder', 'hint', 'question', 'what', 'aria-label', 'alt', 'words']);

const files = (folder) =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter(
      (f) =>
        f.isFile() &&
        /\.tsx?$/.test(f.name) &&
        !/\.test\.|\.d\.ts$|Migration\d|^loggerWords\.ts$/.test(f.name) &&
        // Words that papers use, not the program.
        !/reading\/words$|laboratory$/.test(f.parentPath),
    )
    .map((f) => join(f.parentPath, f.name))
    .sort();

const tidy = (text) => text.replace(/\s+/g, ' ').trim();
/** Words that people read: at least two, not a class list, a query or a path. */
const isSentence = (text) =>
  /[a-zA-Z]{2,}[.,:;’]? +[a-zA-Z“]/.test(text) &&
  !/(?:^| )(?:[a-z]+-[a-z0-9[]+|[a-z]+:[a-z-]+)(?: |$)/.test(text) &&
  !/^(?:select|insert|update|delete|create|alter|drop|comment) /i.test(text);

const template = (node) => node.head.text + node.templateSpans.map((s) => `…${s.literal.text}`).join('');

/** The text of an element with what is worked out in it as dots, children that are elements of their own included. */
function textOf(node) {
  if (ts.isJsxText(node)) return node.text;
  if (ts.isJsxExpression(node))
    return node.expression && ts.isStringLiteral(node.expression) ? node.expression.text : '…';
  if (ts.isJsxElement(node) || ts.isJsxFragment(node)) return node.children.map(textOf).join('');
  return '…';
}

function wordsIn(path) {
  const source = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found = new Set();
  const keep = (text) => {
    const tidied = tidy(text);
    if (isSentence(tidied)) found.add(tidied);
  };
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if ((ts.isJsxElement(node) || ts.isJsxFragment(node)) && node.children.some((c) => ts.isJsxText(c) && tidy(c.text)))
      keep(textOf(node));
    if (ts.isJsxAttribute(node) && ts.isStringLiteral(node.initializer ?? node)) {
      if (SHOWN.has(node.name.getText(source))) keep(node.initializer.text);
      return;
    }
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) keep(node.text);
    if (ts.isTemplateExpression(node)) keep(template(node));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return [...found];
}

let count = 0;
const parts = ROOMS.flatMap((room) => files(join(ROOT, room))).flatMap((path) => {
  const words = wordsIn(path);
  count += words.length;
  return words.length === 0 ? [] : [`## ${relative(ROOT, path)}\n\n${words.map((w) => `- ${w}`).join('\n')}\n`];
});
writeFileSync(
  join(ROOT, 'docs/words.md'),
  `# Every sentence on screen\n\nMade by \`npm run words\` from the sources, to be read for plain words. Dots stand for what is worked out.\n\n${parts.join('\n')}`,
);
console.log(`${count} sentences in docs/words.md`);
