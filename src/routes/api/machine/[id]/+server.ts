import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { StandInSetup } from '$lib/core/running/standIn';
import { findMachine, readAs, refuse, removeMachine } from '$lib/server';
import type { RequestHandler } from './$types';

const gone = (): Response => refuse(404, 'no-machine', 'There is no such stand-in machine any more.');

/** GET gives a machine as it is now. */
export const GET: RequestHandler = ({ params }) => {
  const machine = findMachine(params.id);
  return machine ? json({ id: machine.id, state: machine.stateAt(Date.now()) }) : gone();
};

/** PATCH { speed } runs it faster or slower from now on. */
export const PATCH: RequestHandler = async ({ params, request }) => {
  const machine = findMachine(params.id);
  if (!machine) return gone();
  const body = await readAs(request, z.object({ speed: StandInSetup.shape.speed.unwrap() }));
  if (!body.ok) return body.answer;
  const now = Date.now();
  machine.setSpeed(body.value.speed, now);
  return json({ id: machine.id, state: machine.stateAt(now) });
};

/** DELETE takes it away. */
export const DELETE: RequestHandler = ({ params }) =>
  removeMachine(params.id) ? json({ removed: params.id }) : gone();
