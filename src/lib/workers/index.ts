export { openFileInWorker } from './openFile';
