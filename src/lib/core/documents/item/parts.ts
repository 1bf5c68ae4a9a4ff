import { z } from 'zod';

/** What parts of an item are called by, and lengths in it. */
export const Id = z.string().min(1).max(120);
export const Mm = z.number().min(0).max(5000);

/** Variants that have this part; every variant where missing. */
export const Variants = z.array(Id).optional();
