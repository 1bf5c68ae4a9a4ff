import { json } from '@sveltejs/kit';
import { StandInSetup } from '$lib/core/running/standIn';
import { createMachine, listMachines, readAs, refuse } from '$lib/server';
import type { RequestHandler } from './$types';

/** GET gives the stand-in machines that are set up. */
export const GET: RequestHandler = () => {
  const now = Date.now();
  return json(listMachines().map((machine) => ({ id: machine.id, state: machine.stateAt(now) })));
};

/** POST sets a stand-in machine up, from its settings. */
export const POST: RequestHandler = async ({ request }) => {
  const setup = await readAs(request, StandInSetup);
  if (!setup.ok) return setup.answer;
  const now = Date.now();
  const machine = createMachine(setup.value, now);
  if (!machine)
    return refuse(503, 'too-many', 'Too many stand-in machines are set up. Remove one, or wait an hour.');
  return json({ id: machine.id, state: machine.stateAt(now) }, { status: 201 });
};
