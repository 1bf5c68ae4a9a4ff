/** Topstitching round an item on a sewing machine, s. */
export const TOPSTITCH_S = 240;
