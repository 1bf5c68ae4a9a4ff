export { CutJob, DoneCut, KeptStrip, newCutJob } from './schema';
export { Column, Strip } from './strip';
