export { hoopTemplate } from './hoopTemplate';
export {
  LINE_STYLES,
  type LineStyle,
  type Mark,
  type Placed,
  type Template,
  type TemplatePage
} from './marks';
export { OVERLAP_MM, PAPERS, templatePages, type PaperName } from './pages';
export { pieceTemplates } from './pieceTemplates';
