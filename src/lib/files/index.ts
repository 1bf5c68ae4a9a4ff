export { kindOf, type FileKind } from './kind';
export { LIMITS, sizeWords } from './limits';
export { openFile, type Brought } from './openFile';
export { readPdf, type PdfReading } from './readPdf';
export { readZip, type Entry } from './readZip';
export { sheetPdf } from './sheetPdf';
export { templatesPdf } from './templatesPdf';
export { templatesSvg } from './templatesSvg';
export { zipOf } from './writeZip';
