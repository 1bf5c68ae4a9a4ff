export { hoopTemplate } from './hoopTemplate';
export type { LineStyle, TemplateMark, TemplatePage } from './marks';
export { type PaperName, PAPERS, templatePages } from './pages';
export { pieceTemplates } from './pieceTemplates';
