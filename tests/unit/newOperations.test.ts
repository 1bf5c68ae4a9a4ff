import { isKindOf, newOperation, OPERATION_KINDS, traitsOf } from '$lib/core/craft/operations';
import { brokenReferences, type Item, type Operation } from '$lib/core/documents/item';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { badgerTab } from './support/badger';

const ROOT = new URL('../..', import.meta.url).pathname;
const OPERATIONS = join(ROOT, 'src/lib/core/documents/item/operation.ts');
const FINISHING = join(ROOT, 'src/lib/core/craft/operations/finishing.ts');
const TABLE = join(ROOT, 'src/lib/core/craft/operations/table.ts');

/** What the compiler says of the table of operations, with some files as they would be after a change. */
function complaints(changed: ReadonlyMap<string, string>): string[] {
  const config = ts.getParsedCommandLineOfConfigFile(join(ROOT, 'tsconfig.json'), { noEmit: true }, {
    ...ts.sys,
    onUnRecoverableConfigFileDiagnostic: (problem: ts.Diagnostic) => {
      throw new Error(ts.flattenDiagnosticMessageText(problem.messageText, '\n'));
    }
  } as ts.ParseConfigFileHost);
  if (!config) throw new Error('There is no tsconfig.json.');
  const host = ts.createCompilerHost(config.options);
  const read = host.getSourceFile.bind(host);
  host.getSourceFile = (file, options, ...rest) => {
    const text = changed.get(file);
    return text === undefined ? read(file, options, ...rest) : ts.createSourceFile(file, text, options);
  };
  const program = ts.createProgram([TABLE], config.options, host);
  return [OPERATIONS, FINISHING, TABLE].flatMap((file) =>
    program
      .getSemanticDiagnostics(program.getSourceFile(file))
      .map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, '\n'))
  );
}

const withSteam = (text: string): string =>
  text.replace(
    `z.object({ do: z.literal('trace') }),`,
    `z.object({ do: z.literal('trace') }), z.object({ do: z.literal('steam'), puffs: z.number() }),`
  );
const STEAM = `steam: {
  label: 'Steam', mark: 'heat', wording: ({ puffs }) => say(\`Steam \${puffs} times\`), caution: CAUTION.iron,
  time: 'fuse', waits: null, hoop: 'stays', stack: null, order: 'loose', wall: false, done: 'each-copy', bobbin: null,
  ready: null, spoken: null, start: { puffs: 2 }, fields: { puffs: number('Puffs') }
},`;

describe('a new operation', function () {
  // The compiler reads the table and all it imports.
  this.timeout(120_000);
  const operations = readFileSync(OPERATIONS, 'utf8');
  const finishing = readFileSync(FINISHING, 'utf8');
  const put = (traits: string): string =>
    `import { number } from './fields';\n${finishing}`.replace(
      `export const finishingTraits = {`,
      `export const finishingTraits = {\n${traits}`
    );

  it('does not compile while the table says nothing of it', () => {
    expect(withSteam(operations)).to.not.equal(operations);
    expect(complaints(new Map([[OPERATIONS, withSteam(operations)]])).join()).to.match(/steam/);
  });
  it('does not compile while one of its traits is missing', () => {
    const open = finishing.replace(
      /TraitsOf<\s*'unhoop'|TraitsOf<\s*\| 'unhoop'/,
      (all) => `${all} | 'steam'`
    );
    expect(open).to.not.equal(finishing);
    const without = STEAM.replace(`wall: false, `, '');
    const files = new Map([
      [OPERATIONS, withSteam(operations)],
      [
        FINISHING,
        open.replace(`export const finishingTraits = {`, `export const finishingTraits = {\n${without}`)
      ]
    ]);
    expect(complaints(files).join()).to.match(/wall/);
  });
  it('does not compile while one of its arguments is not asked', () => {
    const silent = put(STEAM.replace(`puffs: number('Puffs')`, '')).replace(
      /'unhoop'\s*\|/,
      `'unhoop' | 'steam' |`
    );
    const files = new Map([
      [OPERATIONS, withSteam(operations)],
      [FINISHING, silent]
    ]);
    expect(complaints(files).join()).to.match(/puffs/);
  });
  it('compiles once it is whole', () => {
    const whole = put(STEAM).replace(/'unhoop'\s*\|/, `'unhoop' | 'steam' |`);
    const files = new Map([
      [OPERATIONS, withSteam(operations)],
      [FINISHING, whole]
    ]);
    expect(complaints(files)).to.deep.equal([]);
    expect(complaints(new Map())).to.deep.equal([]);
  });
});

describe('the table of operations', () => {
  it('knows what is done once, once a head and once a copy', () => {
    const done = (kind: Operation['do']): string => traitsOf(kind).done;
    expect([done('rinse'), done('thread'), done('trim')]).to.deep.equal(['once', 'each-head', 'each-copy']);
    expect(isKindOf(null, () => true)).to.equal(false);
  });
  it('asks for every argument a fresh operation has, or says that it does not', () => {
    const tab = badgerTab();
    for (const kind of OPERATION_KINDS) {
      const { fields } = traitsOf(kind);
      const op = newOperation(kind, tab) ?? {};
      for (const name of Object.keys(op).filter((key) => key !== 'do'))
        expect(fields, kind).to.have.property(name);
    }
  });
  it('finds whatever an operation refers to, at any depth', () => {
    const tab = badgerTab();
    const withOp = (op: Operation): Item => ({
      ...tab,
      steps: tab.steps.map((step, at) => (at === 0 && step.kind === 'hand' ? { ...step, op } : step))
    });
    const broken = (op: Operation): string[] => brokenReferences(withOp(op)).map(({ path }) => path);
    const at = { do: 'lay', side: 'above', face: 'up', over: 12, hold: { by: 'nothing' } } as const;
    const edge = { lineId: 'nowhere', body: 'left', allowance: 12 } as const;
    const piece = tab.pieces[0]?.id ?? '';
    expect(broken({ ...at, pieceId: 'sleeve' })).to.deep.equal(['steps.0.op.pieceId']);
    expect(broken({ ...at, pieceId: piece, edge })).to.deep.equal(['steps.0.op.edge.lineId']);
    expect(broken({ do: 'press-folds', pieceId: piece, alsoIds: [piece, 'cuff'], fold: 12 })).to.deep.equal([
      'steps.0.op.alsoIds.1'
    ]);
    expect(broken({ do: 'bobbin', threadId: 'moonlight' })).to.deep.equal(['steps.0.op.threadId']);
    expect(broken({ do: 'bobbin' })).to.deep.equal([]);
  });
});
