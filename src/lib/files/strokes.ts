import type { LineStyle } from '$lib/core/preparing/templates';

/** How each style of line is drawn, mm; black on white, told apart by weight and dashes. */
export const STROKES: Readonly<Record<LineStyle, { width: number; dash: readonly number[]; grey: number }>> =
  {
    cut: { width: 0.5, dash: [], grey: 0 },
    line: { width: 0.25, dash: [2, 1], grey: 0 },
    guide: { width: 0.2, dash: [4, 2], grey: 0.35 },
    overlap: { width: 0.3, dash: [1, 1.5], grey: 0.2 },
    arrow: { width: 0.4, dash: [], grey: 0 },
    check: { width: 0.3, dash: [], grey: 0 },
    frame: { width: 0.4, dash: [6, 2], grey: 0.2 }
  };
