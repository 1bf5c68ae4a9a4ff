import { json } from '@sveltejs/kit';
import { MachineCommand } from '$lib/core/running/standIn';
import { findMachine, readAs, refuse } from '$lib/server';
import type { RequestHandler } from './$types';

/** POST { do: … } tells the machine something; 409 with its reason where it refuses. */
export const POST: RequestHandler = async ({ params, request }) => {
  const machine = findMachine(params.id);
  if (!machine) return refuse(404, 'no-machine', 'There is no such stand-in machine any more.');
  const command = await readAs(request, MachineCommand);
  if (!command.ok) return command.answer;
  const answer = machine.obey(command.value, Date.now());
  if (!answer.ok) return refuse(409, answer.code, answer.message, 'do');
  return json({ state: answer.state, events: answer.events });
};
