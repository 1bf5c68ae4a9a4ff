/** `npm run demo`: installs, builds and starts the application with the demo stall, and prints its address. */
import { build, installPackages, serve } from './lib.mjs';

installPackages();
console.log('Building …');
build();
const { server, address } = await serve({ port: Number(process.env.PORT ?? 4173), demo: true });
console.log(`\nJolt Step is at ${address} with the demo stall. Ctrl C ends it.`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
