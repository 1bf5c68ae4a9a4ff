/** A refusal whose message is already said in the maker’s words. */
export class InWords extends Error {}

/** What is known of errors that are not ours, by their names. */
const KNOWN: Readonly<Record<string, string>> = {
  QuotaExceededError: 'The browser’s storage is full.',
  DatabaseClosedError: 'The browser’s database was closed meanwhile: reload the page.',
  InvalidStateError: 'The browser’s database was closed meanwhile: reload the page.',
  MissingAPIError: 'This browser lets the page keep nothing.',
  OpenFailedError: 'This browser lets the page keep nothing.',
  SecurityError: 'The browser does not allow it here.',
  NotAllowedError: 'The browser does not allow it here.',
  NotReadableError: 'The browser could not read the file: it may have been moved or changed.'
};

/** A fetch that got no answer: browsers say it in words of their own. */
const NO_ANSWER = /^(?:failed to fetch|load failed|networkerror|fetch failed)/i;

/**
 * Why something could not be done, in words. What is a fault of ours is said to be one, and never blamed on the browser, the
 * file or the server.
 *
 * @param problem whatever was thrown
 *
 * @example
 * whyNot(new DOMException('', 'QuotaExceededError')) // 'The browser’s storage is full.'
 * whyNot(new TypeError('x is undefined')) // 'That is a fault in Jolt Step: x is undefined.'
 */
export function whyNot(problem: unknown): string {
  const message = messageOf(problem);
  return knownCause(problem) ?? `That is a fault in Jolt Step: ${message}${message.endsWith('.') ? '' : '.'}`;
}

/** A cause outside Jolt Step, in words; null where it is a fault of ours. */
function knownCause(problem: unknown): string | null {
  if (problem instanceof InWords) return problem.message;
  for (const name of namesOf(problem)) if (Object.hasOwn(KNOWN, name)) return KNOWN[name] ?? null;
  return NO_ANSWER.test(messageOf(problem)) ? 'The server does not answer.' : null;
}

/** Whether nobody but us can mend it. */
export function isOurFault(problem: unknown): boolean {
  return knownCause(problem) === null;
}

/** The names of an error and of what it came from: a database wraps the one that tells. */
function namesOf(problem: unknown): string[] {
  if (typeof problem !== 'object' || problem === null) return [];
  const { name, inner } = problem as { name?: unknown; inner?: unknown };
  return [...(typeof name === 'string' ? [name] : []), ...(inner === problem ? [] : namesOf(inner))];
}

/** What an error says of itself. @example messageOf('broke off') // 'broke off' */
export function messageOf(problem: unknown): string {
  if (typeof problem === 'object' && problem !== null && 'message' in problem) {
    const { message } = problem;
    if (typeof message === 'string' && message !== '') return message;
  }
  return typeof problem === 'string' && problem !== '' ? problem : 'it broke off without a reason';
}
