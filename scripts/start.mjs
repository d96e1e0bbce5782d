// `npm start`: sets up and starts with one's own memory: no demo data, and no stand-in for weather or telephone.
import { serve } from './serve.mjs';

await serve({
  env: {},
  says: 'Your own household, in .data. No forecast service and no telephone is set up: what they would say is a finding.',
});
