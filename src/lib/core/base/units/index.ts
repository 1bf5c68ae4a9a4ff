export { formatClock, formatDuration, formatMinutes, parseDuration } from './duration';
export {
  formatLength,
  formatSize,
  type LengthUnit,
  MM_PER_INCH,
  otherUnit,
  parseLength,
  roundTo,
  saidIn
} from './length';
export { median } from './median';
export { NUMBER_WORDS, numberSaid, numberWord } from './numberWords';
export { roundUpForCutting } from './rounding';
export { seeded } from './seeded';
export { formatRoll, formatThread, formatWidth, metresPer } from './thread';
