import { TextDecoder, TextEncoder } from 'node:util';
import fc from 'fast-check';

/** Every property test runs on the same cases; `SEED=7 npm run unit` looks at others. */
fc.configureGlobal({ seed: Number(process.env['SEED'] ?? 20_260_613) });

// Browsers have them, the simulated one does not.
Object.assign(globalThis, { TextDecoder, TextEncoder });
