export { OwnPattern, PATTERN_HISTORY, PATTERN_VERSION } from './schema';
