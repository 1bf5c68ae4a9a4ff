export { fit, type Observation } from './fit';
