import type { FontFiles } from '$lib/files';
import { readFileSync } from 'node:fs';

const FOLDER =
  '../../../node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-';
const file = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(new URL(`${FOLDER}${name}.woff`, import.meta.url)));

/** The typeface that ships with the application. */
export const FONTS: FontFiles = {
  plain: [file('latin-400-normal'), file('latin-ext-400-normal')],
  bold: [file('latin-700-normal'), file('latin-ext-700-normal')],
  italic: [file('latin-400-italic'), file('latin-ext-400-italic')]
};
