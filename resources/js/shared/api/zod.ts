import * as z from 'zod/mini';

// Without its compiled parsers: they need eval, which the page's security policy forbids.
z.config({ jitless: true });

// Functions instead of methods: only what is used is shipped, and a phone has a hundred schemas built before it has taken a breath.
export { z };
