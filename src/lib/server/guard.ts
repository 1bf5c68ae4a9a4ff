import { hostname, networkInterfaces } from 'node:os';
import { refuse } from './answers';

/** Names under which this computer is its own. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]', '::1'];
/** Methods that change nothing. */
const SAFE = ['GET', 'HEAD', 'OPTIONS'];

/**
 * What the server was started with: `HOST`, the address it listens on, other than the computer’s own when it is started for
 * the room; `ORIGIN`, the address it is reached under behind a proxy; `JOLT_STEP_HOSTS`, further names, with commas.
 */
type ServerEnvironment = Readonly<Record<string, string | undefined>>;

/**
 * Names the server answers to: its own address, the computer’s addresses in the room when it was started for it, and what the
 * environment lists. Any other name that leads here belongs to somebody else’s page.
 *
 * @example
 * allowedHosts({}) // localhost, 127.0.0.1, [::1], ::1
 */
export function allowedHosts({ HOST, ORIGIN, JOLT_STEP_HOSTS }: ServerEnvironment): ReadonlySet<string> {
  const names = new Set(LOOPBACK);
  for (const name of (JOLT_STEP_HOSTS ?? '').split(','))
    if (name.trim()) names.add(name.trim().toLowerCase());
  if (ORIGIN && URL.canParse(ORIGIN)) names.add(new URL(ORIGIN).hostname);
  // Adapter-node listens everywhere where HOST is missing, but only HOST says that this is meant.
  if (HOST === undefined || LOOPBACK.includes(HOST)) return names;
  names.add(HOST.toLowerCase());
  names.add(hostname().toLowerCase());
  for (const addresses of Object.values(networkInterfaces()))
    for (const { address, family } of addresses ?? [])
      names.add(family === 'IPv6' ? `[${address}]` : address);
  return names;
}

/** What of a request says where it comes from. */
interface Sender {
  method: string;
  /** The host it asks for, as `localhost:4173`. */
  host: string;
  headers: Pick<Headers, 'get'>;
}

/**
 * Refuses what does not come from our own pages: a host name that is not ours, however it leads here, and anything that
 * changes something on behalf of another page. A script sends no origin and is let in.
 *
 * @returns the answer to give, or null where the request may go on
 */
export function guard({ method, host, headers }: Sender, allowed: ReadonlySet<string>): Response | null {
  const name = host.replace(/:\d+$/, '').toLowerCase();
  if (!allowed.has(name))
    return refuse(
      403,
      'foreign-host',
      `This server does not answer to “${name}”. Start it with JOLT_STEP_HOSTS=${name} if that is meant.`
    );
  if (SAFE.includes(method)) return null;
  const origin = headers.get('origin');
  const site = headers.get('sec-fetch-site');
  const own =
    origin === null
      ? site === null || site === 'same-origin' || site === 'none'
      : URL.canParse(origin) && new URL(origin).host === host.toLowerCase();
  return own ? null : refuse(403, 'foreign-origin', 'Only our own pages may change anything here.');
}
