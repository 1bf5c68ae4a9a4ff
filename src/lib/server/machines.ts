import { randomUUID } from 'node:crypto';
import {
  advance,
  type MachineCommand,
  type MachineEvent,
  type MachineState,
  newStandIn,
  obey,
  type Obeyed,
  type StandInSetup
} from '$lib/core/running/standIn';

/** An event with the time at which it happened, ms since 1970. */
export type TimedEvent = MachineEvent & { at: number };

/** What a watcher is told: an event, or where the machine is now. */
export type Watcher = (told: { event: TimedEvent } | { state: MachineState; now: number }) => void;

/** Those who watch one machine: a few tablets. */
const MOST_WATCHERS = 16;
/** Events of one machine that are kept. */
const MOST_EVENTS = 5000;

/** A machine for as long as the server runs: sessions are kept in memory and nowhere else. */
export class MachineSession {
  readonly id = randomUUID();
  readonly events: TimedEvent[] = [];
  usedAt: number;
  #state: MachineState;
  #at: number;
  /** Those who watch, and what to tell them when the machine is taken away. */
  readonly #watchers = new Map<Watcher, () => void>();

  constructor(setup: StandInSetup, now: number) {
    this.#state = newStandIn(setup);
    this.#at = now;
    this.usedAt = now;
  }

  /** The machine as it is at a moment. */
  stateAt(now: number): MachineState {
    const passed = Math.max(0, now - this.#at) / 1000;
    const { speed } = this.#state.setup;
    const before = this.#state.clock;
    const { state, events } = advance(this.#state, passed * speed);
    const from = this.#at;
    this.#state = state;
    this.#at = Math.max(this.#at, now);
    // An event happened when the machine’s own clock says, not when somebody looked.
    this.#tell(events, ({ clock }) => from + ((clock - before) / speed) * 1000);
    return state;
  }

  obey(command: MachineCommand, now: number): Obeyed {
    const state = this.stateAt(now);
    this.usedAt = now;
    const answer = obey(state, command);
    if (!answer.ok) return answer;
    this.#state = answer.state;
    this.#tell(answer.events, () => now);
    return answer;
  }

  /** Speeds it up or slows it down from now on. */
  setSpeed(speed: number, now: number): void {
    this.#state = { ...this.stateAt(now), setup: { ...this.#state.setup, speed } };
  }

  /**
   * Watches from after an event on; gives what ends it.
   *
   * @param onend called when the machine is taken away
   * @returns null where too many watch already
   */
  watch(
    after: number,
    now: number,
    watcher: Watcher,
    onend: () => void = () => undefined
  ): (() => void) | null {
    if (this.#watchers.size >= MOST_WATCHERS) return null;
    this.stateAt(now);
    this.usedAt = now;
    for (const event of this.events) if (event.seq > after) watcher({ event });
    this.#watchers.set(watcher, onend);
    return () => void this.#watchers.delete(watcher);
  }

  /** Ends everybody’s watching, when the machine is taken away. */
  close(): void {
    const ends = [...this.#watchers.values()];
    this.#watchers.clear();
    for (const end of ends) end();
  }

  get watched(): boolean {
    return this.#watchers.size > 0;
  }

  /** Lets time pass for those who watch. */
  tick(now: number): void {
    const state = this.stateAt(now);
    this.usedAt = now;
    for (const watcher of this.#watchers.keys()) watcher({ state, now });
  }

  #tell(events: readonly MachineEvent[], at: (event: MachineEvent) => number): void {
    for (const event of events) {
      const timed = { ...event, at: Math.round(at(event)) };
      this.events.push(timed);
      for (const watcher of this.#watchers.keys()) watcher({ event: timed });
    }
    // A machine that runs for days forgets its first days.
    if (this.events.length > MOST_EVENTS) this.events.splice(0, this.events.length - MOST_EVENTS);
  }
}

/** Most machines at once; the one not used for longest gives way when it has rested for an hour. */
const MOST = 60;
const REST_MS = 3_600_000;
const TICK_MS = 100;

const sessions = new Map<string, MachineSession>();
let ticking: NodeJS.Timeout | undefined;

/** Sets up a machine; null where too many are running. */
export function createMachine(setup: StandInSetup, now: number): MachineSession | null {
  if (sessions.size >= MOST) {
    const oldest = [...sessions.values()].sort((a, b) => a.usedAt - b.usedAt)[0];
    if (!oldest || now - oldest.usedAt < REST_MS) return null;
    removeMachine(oldest.id);
  }
  const session = new MachineSession(setup, now);
  sessions.set(session.id, session);
  ticking ??= setInterval(() => {
    for (const each of sessions.values()) if (each.watched) each.tick(Date.now());
  }, TICK_MS).unref();
  return session;
}

export function findMachine(id: string): MachineSession | undefined {
  return sessions.get(id);
}

export function listMachines(): MachineSession[] {
  return [...sessions.values()];
}

export function removeMachine(id: string): boolean {
  sessions.get(id)?.close();
  return sessions.delete(id);
}
