import { z } from 'zod';

// The content security policy forbids code made from strings, which is how schemas would speed themselves up.
z.config({ jitless: true });
