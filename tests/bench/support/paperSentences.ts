import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Where papers by other hands lie: beside the project, else those of them that are kept with its tests. */
const FOLDERS = ['../shared/papers', 'tests/papers'];

/** Instruction sheets by other hands, each as its sentences. */
export function paperSentences(): string[][] {
  const folder = FOLDERS.find((each) => existsSync(each)) ?? 'tests/papers';
  const files = readdirSync(folder, { recursive: true, withFileTypes: true });
  const sheets = files.flatMap((file) =>
    file.isFile() && /\.(?:txt|md|vtt|srt)$/.test(file.name) && file.name !== 'README.md'
      ? [
          readFileSync(join(file.parentPath, file.name), 'utf8')
            .split(/(?<=[.!?:])\s+|\n+/)
            .filter((each) => each.trim() !== '')
        ]
      : []
  );
  return sheets.filter((sentences) => sentences.length > 2);
}
