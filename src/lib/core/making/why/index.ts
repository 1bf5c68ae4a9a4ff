export { whyOf } from './why';
