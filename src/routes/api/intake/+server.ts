import { jobRoute } from '$lib/server';

/**
 * POST a chart or an instruction sheet (text, CSV, PDF) or a drawing (SVG), by content type, and get its stops, what
 * its sentences ask for, both merged into one item, and problems. Nothing is kept.
 */
export const POST = jobRoute('intake');
