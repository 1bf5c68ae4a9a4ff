export { impossible } from './impossible';
export { InWords, isOurFault, messageOf, whyNot } from './problems';
