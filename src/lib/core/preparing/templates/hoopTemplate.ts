import { box, extentsOfAll, mirrored, type Path, segment } from '$lib/core/base/geometry';
import { formatSize } from '$lib/core/base/units';
import type { Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import { arrow, drawn, fromTopLeft, type Template, type TemplateMark, written } from './marks';

/** Paper below the field for what it is. */
const WORDS_MM = 11;

/**
 * The stitch field of the hoop with its centre cross and what the design stitches in a hooping, to be laid on the cloth
 * before it is hooped.
 *
 * @param hoopingId whose lines are drawn
 * @param fromBehind mirrored, to be laid on the back
 */
export function hoopTemplate(item: Item, plan: Plan, hoopingId: string, fromBehind = false): Template {
  const { width, height } = plan.hoop.field;
  const field = box(-width / 2, -height / 2, width / 2, height / 2);
  const across = segment(-width / 2, 0, width / 2, 0);
  const down = segment(0, -height / 2, 0, height / 2);
  const lines = item.lines.filter(({ frame }) => frame === hoopingId).map(({ path }) => path);
  const seen = (path: Path): Path => (fromBehind ? mirrored(path) : path);
  const laid = fromTopLeft([field, across, down, ...lines.map(seen)], 2);
  const styles = ['frame', 'guide', 'guide'] as const;
  const marks: TemplateMark[] = laid.paths.map((path, at) => drawn(path, styles[at] ?? 'line'));
  const [cx, cy] = laid.at;
  marks.push(...arrow([cx, cy - height / 2 + 14], [cx, cy - height / 2 + 2], false));
  const design = lines.length > 0 ? extentsOfAll(lines) : undefined;
  const name = item.hoopings.find(({ id }) => id === hoopingId)?.name ?? 'Hooping';
  marks.push(
    written(cx + 2, cy - height / 2 + 8, 'top', { size: 3.5 }),
    written(4, laid.height + 3, `${plan.hoop.name}, field ${formatSize(plan.hoop.field, plan.unit)}`, {
      size: 3.5,
      bold: true
    }),
    written(
      4,
      laid.height + 8,
      `${name}${design ? `, design ${formatSize(design, plan.unit)}` : ''}${fromBehind ? ', mirrored: seen from behind' : ''}`,
      { size: 3.5 }
    )
  );
  return {
    id: `hoop-${hoopingId}${fromBehind ? '-behind' : ''}`,
    name: item.hoopings.length > 1 ? `Hoop, ${name.toLowerCase()}` : 'Hoop',
    width: laid.width,
    height: laid.height + WORDS_MM,
    marks
  };
}
