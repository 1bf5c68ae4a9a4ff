import { isOurFault, messageOf, whyNot } from '$lib/core/base/problems';
import { downloadJson } from '$lib/ui/files';
import { toast } from 'svelte-sonner';

/**
 * Tells what could not be done, and why: the one place where a page says that something went wrong. Of a fault of ours it offers
 * a file with what happened, for whoever helps.
 *
 * @param tried what was tried, as a sentence: “The run was not begun.”
 *
 * @example
 * report(problem, 'The photo is not kept.') // “The photo is not kept. The browser’s storage is full.”
 */
export function report(problem: unknown, tried: string): void {
  const words = `${tried} ${whyNot(problem)}`;
  if (!isOurFault(problem)) {
    toast.error(words);
    return;
  }
  const happened = {
    at: new Date().toISOString(),
    tried,
    where: location.pathname,
    error: messageOf(problem),
    name: problem instanceof Error ? problem.name : typeof problem,
    stack: problem instanceof Error ? (problem.stack ?? '') : '',
    browser: navigator.userAgent
  };
  toast.error(words, {
    duration: 60_000,
    action: { label: 'Save what happened', onClick: () => downloadJson('what happened', happened) }
  });
}

/** Tells of what no handler caught. @returns what ends it */
export function reportUncaught(): () => void {
  const onerror = ({ error, message }: ErrorEvent): void => {
    // A browser that measures too often says so here; nothing has gone wrong then.
    if (!/^ResizeObserver loop/.test(message)) report(error ?? message, 'Something was not done.');
  };
  const onrejection = ({ reason }: PromiseRejectionEvent): void => report(reason, 'Something was not done.');
  addEventListener('error', onerror);
  addEventListener('unhandledrejection', onrejection);
  return () => {
    removeEventListener('error', onerror);
    removeEventListener('unhandledrejection', onrejection);
  };
}
