import { findMachine, refuse, type Watcher } from '$lib/server';
import type { RequestHandler } from './$types';

/** Events that wait for a reader at most. */
const MOST_WAITING = 1000;

/**
 * GET streams what the machine does (server-sent events): `event: told` for each event, numbered so that a connection that
 * comes back goes on after the last one it had; `event: state` with where it is, ten times a second.
 */
export const GET: RequestHandler = ({ params, request, url }) => {
  const machine = findMachine(params.id);
  if (!machine) return refuse(404, 'no-machine', 'There is no such stand-in machine any more.');
  const wanted = request.headers.get('last-event-id') ?? url.searchParams.get('after') ?? '0';
  const after = /^\d{1,9}$/.test(wanted) ? Number(wanted) : 0;
  const encoder = new TextEncoder();
  let end: (() => void) | undefined;
  let closed = false;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const close = (): void => {
        end?.();
        if (closed) return;
        closed = true;
        controller.close();
      };
      const send = (text: string): void => {
        // Who does not read what is sent is let go, and comes back where it left off.
        if ((controller.desiredSize ?? 0) < -MOST_WAITING) {
          close();
          return;
        }
        if (!closed) controller.enqueue(encoder.encode(text));
      };
      const watcher: Watcher = (told) => {
        if ('event' in told)
          send(`id: ${told.event.seq}\nevent: told\ndata: ${JSON.stringify(told.event)}\n\n`);
        // Where it is now is old in a moment: a slow reader is spared it.
        else if ((controller.desiredSize ?? 0) >= 0) send(`event: state\ndata: ${JSON.stringify(told)}\n\n`);
      };
      send('retry: 1000\n\n');
      end = machine.watch(after, Date.now(), watcher, close) ?? undefined;
      if (!end) close();
    },
    cancel() {
      closed = true;
      end?.();
    }
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' }
  });
};
