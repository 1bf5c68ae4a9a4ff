import { createServer, type IncomingMessage, type RequestListener, type ServerResponse } from 'node:http';
import { readdirSync } from 'node:fs';
import { access } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { allowedHosts, guard } from './guard';
import { SAFE_HEADERS } from './safeHeaders';

/**
 * Starts the built application: the same guard and headers for pages, routes and files, and no file that vanished ends it.
 *
 * HOST and PORT say where it listens; without them 0.0.0.0:3000.
 */
process.env.JOLT_STEP_JOBS ??= fileURLToPath(new URL('./jobs.worker.js', import.meta.url));
const HOSTS = allowedHosts(process.env);
/** What adapter-node builds: it stands beside this file once both are built. */
const { handler } = (await import(/* @vite-ignore */ new URL('./handler.js', import.meta.url).href)) as {
  handler: RequestListener;
};
const CLIENT = new URL('./client/', import.meta.url);
/** Files beside the application’s own: icons, the theme, the service worker. */
const FILES = new Set(readdirSync(CLIENT).map((name) => `/${name}`));

const server = createServer((request, response) => void answer(request, response));

async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
  for (const [name, value] of Object.entries(SAFE_HEADERS)) response.setHeader(name, value);
  const headers = { get: (name: string) => one(request.headers[name]) };
  const refused = guard(
    { method: request.method ?? 'GET', host: request.headers.host ?? '', headers },
    HOSTS
  );
  if (refused) {
    response.writeHead(refused.status, { 'content-type': 'application/json' });
    response.end(await refused.text());
    return;
  }
  if (await isMissingFile(request.url ?? '/')) {
    response.writeHead(404, { 'content-type': 'text/plain' }).end('There is no such file.');
    return;
  }
  handler(request, response);
}

const one = (value: string | string[] | undefined): string | null =>
  Array.isArray(value) ? (value[0] ?? null) : (value ?? null);

/** Whether a file of the application is asked for that is not there (any more). */
async function isMissingFile(url: string): Promise<boolean> {
  const path = url.split('?')[0] ?? '/';
  if (!path.startsWith('/_app/') && !FILES.has(path)) return false;
  try {
    await access(new URL(`.${path}`, CLIENT));
    return false;
  } catch (problem) {
    return (problem as NodeJS.ErrnoException).code === 'ENOENT';
  }
}

// A file that vanished after it was looked for breaks off its own answer, and nothing else.
process.on('uncaughtException', (problem: NodeJS.ErrnoException) => {
  console.error(problem);
  if (problem.code !== 'ENOENT' || problem.syscall !== 'open') process.exit(1);
});

const port = Number(process.env.PORT ?? 3000);
const host = process.env.HOST ?? '0.0.0.0';
server.listen(port, host, () => console.log(`Listening on http://${host}:${port}`));
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.closeAllConnections();
    server.close(() => process.exit(0));
  });
