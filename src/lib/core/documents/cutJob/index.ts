export { CUT_JOB_HISTORY, CutJob, DoneCut, KeptStrip, newCutJob } from './schema';
export { Column, Strip } from './strip';
