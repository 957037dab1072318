import { z } from 'zod';

// Without its compiled parsers: they need eval, which the page's security policy forbids.
z.config({ jitless: true });

export { z };
