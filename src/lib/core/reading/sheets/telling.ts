/** Words for the underside of the hoop. */
export const BELOW =
  /\b(?:under(?:neath)?|beneath|below|behind)\b(?!\s+the\s+(?:foot|presser|needle|line|seam|edge))|\b(?:to|on|onto|against|at)\s+the\s+(?:(?:back|underside|bottom|wrong side)\s+of\s+the\s+(?:hoop|frame|work|stabili\w+|tear\S*|item|embroidery)|underside|reverse|back of it|(?:back|wrong side)(?=\s*(?:,|$)))/i;
/** Pieces that are put in at an edge. */
export const RIBBON = /\b(?:ribbon|cord|loop|elastic|strap|tab|webbing|string|hanger|band)\b/i;
/** What need not be done. */
export const OPTIONAL =
  /\b(?:if you (?:like|wish|want|prefer)|optional(?:ly)?|if (?:needed|necessary|wanted))\b|^for (?:a|an|names?|dense|extra)\b/i;
/** A sentence that only lists what is needed. */
export const LISTS = /^(?:how to\b.*?)?\b(?:you (?:will )?need|each (?:one )?needs)\b/i;
/** A flip that names nothing turns all that the last seam joined. */
export const FLIPS_ALL = /^(?:flip|fold)(?:\s+(?:both|them|all|over|up|down|back|away|open|out))*$/i;
export const SAME_WITH =
  /^(?:then\s+)?(?:do|repeat)\s+(?:the same|this|that|it)\s+(?:with|for|to|on)\s+(.+?)[.!]?$/i;
