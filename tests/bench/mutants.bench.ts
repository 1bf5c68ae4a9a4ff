/**
 * Whether the tests can fail: seeded changes of single places in the core (a number, a comparison, a branch), each with the tests
 * nearest to it. `npm run bench -- mutants [how many] [seed]`; every file is put back as it was.
 */
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import ts from 'typescript';
import { pick, seeded } from './support/random';

const [count = 200, seed = 1] = process.argv.slice(2).map(Number);
const random = seeded(seed);
const CORE = 'src/lib/core';
const MOCHA = 'node_modules/mocha/lib/cli/cli.js';
/** Test files that are run for a change at most, and the time they may take, ms. */
const NEAREST = 5;
const LONGEST = 120_000;

interface Mutant {
  file: string;
  line: number;
  from: number;
  to: number;
  is: string;
  becomes: string;
}

const OPPOSITE: Readonly<Record<string, string>> = {
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
  '+': '-',
  '-': '+'
};

/** What could be changed in a file: figures, comparisons, branches. */
function mutantsOf(file: string): Mutant[] {
  const text = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Mutant[] = [];
  const add = (node: ts.Node, becomes: string): void => {
    const from = node.getStart(source);
    const line = source.getLineAndCharacterOfPosition(from).line + 1;
    found.push({ file, line, from, to: node.getEnd(), is: node.getText(source), becomes });
  };
  const visit = (node: ts.Node): void => {
    // Types and words are no behaviour.
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isNumericLiteral(node)) add(node, String(Number(node.text) + 1));
    else if (ts.isBinaryExpression(node)) {
      const other = OPPOSITE[node.operatorToken.getText(source)];
      const joins = [node.left, node.right].some(
        (side) => ts.isStringLiteral(side) || ts.isTemplateExpression(side)
      );
      if (other !== undefined && !(joins && /[+-]/.test(other))) add(node.operatorToken, other);
    } else if (ts.isIfStatement(node)) add(node.expression, `!(${node.expression.getText(source)})`);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('index.ts'))
  .map((name) => `${CORE}/${name}`);
const tests = readdirSync('tests/unit')
  .filter((name) => name.endsWith('.test.ts'))
  .map((name) => ({ path: `tests/unit/${name}`, text: readFileSync(`tests/unit/${name}`, 'utf8') }));

/** What a file gives to others, by name. */
const given = (file: string): string[] =>
  [...readFileSync(file, 'utf8').matchAll(/^export (?:async )?(?:function|const|class) (\w+)/gm)].flatMap(
    ([, name]) => name ?? []
  );

/** What the files of the core that import a file give to others. */
function givenByCallers(file: string): string[] {
  const name = file.replace(/^.*\//, '').replace('.ts', '');
  const room = file.replace(/\/[^/]+$/, '');
  return files
    .filter((other) => other.startsWith(room) && readFileSync(other, 'utf8').includes(`'./${name}'`))
    .flatMap(given);
}

/** The tests nearest to a file: those that name what it gives, then what its callers give, then its room and its wing. */
function nearest(file: string): string[] {
  const [, wing = '', room = ''] = /core\/([^/]+)\/([^/]+)\//.exec(file) ?? [];
  const [own, callers] = [given(file), givenByCallers(file)];
  const named = (text: string, names: readonly string[]): number =>
    names.filter((name) => new RegExp(`\\b${name}\\b`).test(text)).length;
  const score = (text: string): number =>
    10 * named(text, own) +
    4 * named(text, callers) +
    (text.includes(`core/${wing}/${room}'`) ? 2 : 0) +
    (text.includes(`core/${wing}/`) ? 1 : 0);
  const near = tests
    .map(({ path, text }) => ({ path, near: score(text) }))
    .filter((each) => each.near > 0)
    .sort((a, b) => b.near - a.near)
    .slice(0, NEAREST)
    .map(({ path }) => path);
  // What nothing names is seen by the sheets of every construction.
  return near.length > 0 ? near : ['tests/unit/constructions.test.ts', 'tests/unit/plan.test.ts'];
}

/** Whether the tests pass; null where they did not come to their end in time, which says nothing. */
function passes(paths: readonly string[]): boolean | null {
  // Started by itself: a starter that is ended leaves the tests it started running for ever where a change never ends.
  const args = [
    '--import=tsx',
    MOCHA,
    '--no-config',
    '--timeout',
    '120000',
    '--bail',
    '--reporter',
    'dot',
    ...paths
  ];
  const { status } = spawnSync(process.execPath, args, {
    timeout: LONGEST,
    killSignal: 'SIGKILL',
    stdio: 'ignore'
  });
  return status === null ? null : status === 0;
}

let [killed, unjudged] = [0, 0];
const survived: string[] = [];
for (let at = 0; at < count; at++) {
  const own = mutantsOf(pick(random, files));
  if (own.length === 0) {
    at--;
    continue;
  }
  const mutant = pick(random, own);
  const whole = readFileSync(mutant.file, 'utf8');
  try {
    writeFileSync(mutant.file, whole.slice(0, mutant.from) + mutant.becomes + whole.slice(mutant.to));
    const passed = passes(nearest(mutant.file));
    if (passed === null) unjudged++;
    else if (passed) {
      survived.push(`${mutant.file}:${mutant.line}  ${mutant.is} -> ${mutant.becomes}`);
      console.log(`${at + 1} of ${count} survived: ${survived.at(-1)}`);
    } else killed++;
  } finally {
    writeFileSync(mutant.file, whole);
  }
}
console.log(
  JSON.stringify({
    mutants: count,
    unjudged,
    killed: Number((killed / Math.max(1, count - unjudged)).toFixed(3))
  })
);
