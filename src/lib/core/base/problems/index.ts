export { InWords, isOurFault, messageOf, whyNot } from './problems';
