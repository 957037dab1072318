import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';

/** The description of the interface that a page is built on, as the server names it: see `config/app.php`. */
export const contract = {
  'import.meta.env.VITE_CONTRACT': JSON.stringify(createHash('sha256').update(readFileSync('docs/openapi.json')).digest('hex').slice(0, 12)),
};
