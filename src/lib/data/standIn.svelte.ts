import { whyNot } from '$lib/core/base/problems';
import type { RunHead } from '$lib/core/documents/run';
import { nextCommand, type RunState } from '$lib/core/running/runs';
import type { MachineCommand, MachineJob, MachineState, StandInSetup } from '$lib/core/running/standIn';
import { clientId } from './client';
import { appendFromMachine, lastTold } from './runEvents';
import { eventsOf } from './runs';

/** An event as the server sends it: with the time at which it happened by the server’s clock. */
type Told = Parameters<typeof appendFromMachine>[2] & { at: number };

export interface StandIn {
  id: string;
  state: MachineState;
}

/** What a call to the server came to: its answer, or its reason in words. */
export type Reply<T> = { ok: true; value: T } | { ok: false; code: string; message: string };

async function call<T>(path: string, method: string, body?: unknown): Promise<Reply<T>> {
  try {
    const answer = await fetch(`/api/machine${path}`, {
      method,
      ...(body !== undefined && {
        body: JSON.stringify(body),
        headers: { 'content-type': 'application/json' }
      })
    });
    const value: unknown = await answer.json();
    if (answer.ok) return { ok: true, value: value as T };
    const { error } = value as { error?: { code: string; message: string } };
    return {
      ok: false,
      code: error?.code ?? 'failed',
      message: error?.message ?? 'The machine did not answer.'
    };
  } catch (problem) {
    return { ok: false, code: 'offline', message: `${whyNot(problem)} Go on by hand; the run is kept.` };
  }
}

/** The stand-in machines of the server. */
export const standIns = {
  list: (): Promise<Reply<StandIn[]>> => call('', 'GET'),
  create: (setup: StandInSetup): Promise<Reply<StandIn>> => call('', 'POST', setup),
  find: (id: string): Promise<Reply<StandIn>> => call(`/${id}`, 'GET'),
  remove: (id: string): Promise<Reply<unknown>> => call(`/${id}`, 'DELETE'),
  speed: (id: string, speed: number): Promise<Reply<StandIn>> => call(`/${id}`, 'PATCH', { speed }),
  tell: (id: string, command: MachineCommand): Promise<Reply<{ state: MachineState }>> =>
    call(`/${id}/command`, 'POST', command)
};

/** Watches a machine: where it is, and what it told, as long as it is watched. */
export class MachineWatch {
  state = $state.raw<MachineState | null>(null);
  events = $state.raw<Told[]>([]);
  /** Whether the connection stands; it comes back by itself. */
  connected = $state(false);
  gone = $state(false);
  /** The server’s clock less this browser’s, ms. */
  #ahead = 0;
  #source: EventSource | undefined;

  constructor(readonly id: string) {}

  /** @param each is called for each event, in order */
  open(after: number, each: (event: Told, at: number) => void = () => undefined): void {
    const source = new EventSource(`/api/machine/${this.id}/events?after=${after}`);
    this.#source = source;
    source.addEventListener('open', () => (this.connected = true));
    source.addEventListener('error', () => {
      this.connected = false;
      // A stream that cannot be opened again is one of a machine that is gone.
      if (source.readyState === EventSource.CLOSED)
        void standIns.find(this.id).then((found) => (this.gone = !found.ok && found.code === 'no-machine'));
    });
    source.addEventListener('state', ({ data }: MessageEvent<string>) => {
      const { state, now } = JSON.parse(data) as { state: MachineState; now: number };
      this.#ahead = now - Date.now();
      this.state = state;
    });
    source.addEventListener('told', ({ data }: MessageEvent<string>) => {
      const event = JSON.parse(data) as Told;
      this.events = [...this.events.slice(-199), event];
      each(event, event.at - this.#ahead);
    });
  }

  close(): void {
    this.#source?.close();
  }
}

/** Follows a machine for a run: what it tells is stored before anything moves, and its buttons are pressed where asked. */
export class RunFollowing {
  readonly watch: MachineWatch;
  refused = $state('');
  /** The last event that has been stored, or needed no storing. */
  #taken = 0;
  #queue: Promise<unknown> = Promise.resolve();
  #telling = false;
  #closed = false;

  constructor(
    readonly runId: string,
    readonly session: string
  ) {
    this.watch = new MachineWatch(session);
  }

  async open(): Promise<void> {
    this.#taken = lastTold(await eventsOf(this.runId), this.session);
    if (this.#closed) return;
    this.watch.open(this.#taken, (event, at) => {
      this.#queue = this.#queue
        .then(() => appendFromMachine(this.runId, this.session, event, at, clientId()))
        .then(() => (this.#taken = event.seq))
        .catch((problem: unknown) => {
          this.refused = `What the machine told is not kept. ${whyNot(problem)}`;
        });
    });
  }

  close(): void {
    this.#closed = true;
    this.watch.close();
  }

  /** Presses what the run needs next, once all the machine has told is stored. */
  async drive(head: RunHead, run: RunState, job: MachineJob): Promise<void> {
    const machine = this.watch.state;
    if (!machine || this.#telling || this.#taken < machine.seq) return;
    const command = nextCommand(head.plan, run, machine, job);
    if (!command) return;
    this.#telling = true;
    const answer = await standIns.tell(this.session, command);
    this.refused = answer.ok || answer.code === 'running' ? '' : answer.message;
    if (answer.ok) this.watch.state = answer.value.state;
    this.#telling = false;
  }
}
