// `npm run demo`: sets up, starts with demo data, prints the address. Its memory is a folder of its own.
import { serve } from './serve.mjs';

await serve({
  env: { ESCALE_DEMO: '1', ESCALE_DATA: process.env.ESCALE_DATA ?? '.data/demo' },
  says: 'Demo data: an invented coast, not for navigation; weather and telephone are invented too.',
});
