// npm run build: installs what is missing and builds app and server into dist/.
import { buildApp, buildServer, install } from './steps.mjs';

await install();
await buildApp();
await buildServer();
