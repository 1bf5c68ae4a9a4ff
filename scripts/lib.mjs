/** Helpers of the project's own commands. They need nothing but Node.js, since they run before any install. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
export const CHROMIUM = '/usr/bin/chromium';

/** Runs a command, its output shown as it comes; gives its exit code. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  return status ?? 1;
}

/** Runs a command and ends this one when it fails. */
export function must(command, args, options) {
  const code = run(command, args, options);
  if (code !== 0) {
    console.error(`\n${command} ${args.join(' ')} failed with code ${code}.`);
    process.exit(code);
  }
}

/** Installs the locked packages, unless those installed are the locked ones already. */
export function installPackages() {
  const stamp = `${root}node_modules/.jolt-step-lock`;
  const lock = createHash('sha256')
    .update(readFileSync(`${root}package-lock.json`))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing the packages of package-lock.json …');
  must('npm', ['ci', '--no-fund', '--no-audit']);
  writeFileSync(stamp, lock);
}

/** Installs Debian's Chromium for the browser tests, after saying so. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log(
    'The browser tests need Chromium. Installing the Debian package "chromium" with apt-get (needs root) …'
  );
  must('apt-get', ['update']);
  must('apt-get', ['install', '-y', '--no-install-recommends', 'chromium', 'fonts-liberation'], {
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  });
}

/** Builds the application. */
export function build() {
  must('npm', ['run', '--silent', 'build'], { stdio: ['ignore', 'ignore', 'inherit'] });
}

/**
 * Starts the built application and waits until it answers.
 *
 * @returns the server's process and its address
 */
export async function serve({ port, demo }) {
  const server = spawn('node', ['build/start.js'], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      PORT: String(port),
      HOST: process.env.HOST ?? '127.0.0.1',
      JOLT_STEP_DEMO: demo ? '1' : '0',
      BODY_SIZE_LIMIT: '24M'
    }
  });
  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100; tries++) {
    try {
      const answer = await fetch(`${address}/api/health`);
      if (answer.ok) return { server, address };
    } catch {
      // Not up yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  server.kill();
  throw new Error('The server did not start.');
}
