import { json } from '@sveltejs/kit';
import { type DocumentKind, DOCUMENTS, jsonSchema } from '$lib/core/documents/files';
import { refuse } from '$lib/server';
import type { RequestHandler } from './$types';

/** JSON Schema of a document: /api/schema/item.json, shop.json, setup.json, run.json, plan.json, stash.json, cut-job.json. */
export const GET: RequestHandler = ({ params }) => {
  const kind = /^([a-z-]+)\.json$/.exec(params.name)?.[1];
  if (kind === undefined || !isKind(kind)) {
    const known = Object.keys(DOCUMENTS).map((name) => `${name}.json`);
    return refuse(
      404,
      'no-schema',
      `There is no schema of that name. There are ${known.join(', ')}.`,
      'name'
    );
  }
  return json(jsonSchema(kind), { headers: { 'content-type': 'application/schema+json' } });
};

function isKind(name: string): name is DocumentKind {
  return Object.hasOwn(DOCUMENTS, name);
}
