export { reasonsOf } from './reasons';
export { whyOf } from './why';
