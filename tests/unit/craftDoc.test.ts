import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { FINDING_CODES } from '$lib/core/craft/findings/finding';
import { HAND_TIME_KEYS, handTimeLabel } from '$lib/core/documents/shop';
import { expect } from 'chai';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = new URL('../..', import.meta.url).pathname;
const CORE = join(ROOT, 'src/lib/core');
const doc = readFileSync(join(ROOT, 'docs/craft.md'), 'utf8');

interface Rule {
  rule: string;
  values: string[];
  file: string;
  symbol: string;
  testFile: string;
  title: string;
}

/** The rows of the tables: rule, value, where, test. */
const rules = doc.split('\n').flatMap((line): Rule[] => {
  const cells = line.split(' | ').map((cell) => cell.replace(/^\| | \|$/g, '').trim());
  const where = /^`(.+):(\w+)`$/.exec(cells[2] ?? '');
  const test = /^(\w+): (.+)$/.exec(cells[3] ?? '');
  if (cells.length !== 4 || !where || !test) return [];
  return [
    {
      rule: cells[0] ?? '',
      values: [...(cells[1] ?? '').matchAll(/`([^`]+)`/g)].map((match) => match[1] ?? ''),
      file: where[1] ?? '',
      symbol: where[2] ?? '',
      testFile: test[1] ?? '',
      title: test[2] ?? ''
    }
  ];
});

/** A declaration with all it holds, as far as the next one that begins at the margin. */
function declarationOf(source: string, symbol: string): string | undefined {
  const start = source.search(
    new RegExp(`^(export )?(const|function|class|interface|type) ${symbol}\\b`, 'm')
  );
  if (start < 0) return undefined;
  const rest = source.slice(start + 1);
  const end = rest.search(/^(\/\*\*|export|const|function|class|interface|type) ?/m);
  return source[start] + (end < 0 ? rest : rest.slice(0, end));
}

describe('docs/craft.md', () => {
  it('names a symbol that exists for every rule, and a value that stands there', () => {
    expect(rules.length).to.be.above(250);
    for (const { rule, values, file, symbol } of rules) {
      const path = join(CORE, file);
      expect(existsSync(path), `${file} of “${rule}”`).to.equal(true);
      const declared = declarationOf(readFileSync(path, 'utf8'), symbol);
      expect(declared, `${file}:${symbol} of “${rule}”`).to.not.equal(undefined);
      for (const value of values)
        if (/\d/.test(value)) expect(declared, `${file}:${symbol} of “${rule}”`).to.include(value);
    }
  });
  it('names a test that exists for every rule', () => {
    for (const { rule, testFile, title } of rules) {
      const path = join(ROOT, 'tests/unit', `${testFile}.test.ts`);
      expect(existsSync(path), `${testFile} of “${rule}”`).to.equal(true);
      expect(readFileSync(path, 'utf8'), `${testFile} of “${rule}”`).to.include(title);
    }
  });
  it('leaves out nothing that can be found, no hand time and no construction', () => {
    const said = rules.map(({ rule }) => rule);
    for (const code of FINDING_CODES)
      expect(
        said.some((rule) => rule.startsWith(`**${code}**`)),
        code
      ).to.equal(true);
    for (const key of HAND_TIME_KEYS) expect(said, key).to.include(handTimeLabel(key));
    for (const { name } of CONSTRUCTIONS)
      expect(
        said.some((rule) => rule.startsWith(`${name}:`)),
        name
      ).to.equal(true);
  });
  it('leaves out no number of stitching, craft, making, preparing and running that is one of the craft', () => {
    const method = new Set(
      [...(doc.split('## Numbers of method')[1] ?? '').matchAll(/`([\w/]+\.ts:\w+)`/g)].map(
        (match) => match[1]
      )
    );
    const known = new Set(rules.map(({ file, symbol }) => `${file}:${symbol}`));
    const missing: string[] = [];
    for (const wing of ['stitching', 'craft', 'making', 'preparing', 'running'])
      for (const file of readdirSync(join(CORE, wing), { recursive: true, encoding: 'utf8' })) {
        if (!file.endsWith('.ts')) continue;
        const source = readFileSync(join(CORE, wing, file), 'utf8');
        for (const [, name] of source.matchAll(/^(?:export )?const ([A-Z][A-Z0-9_]+) = [-\d(]/gm)) {
          const symbol = `${wing}/${file}:${name ?? ''}`;
          if (!known.has(symbol) && !method.has(symbol)) missing.push(symbol);
        }
      }
    expect(missing).to.deep.equal([]);
  });
});
