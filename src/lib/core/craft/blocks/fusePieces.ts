import type { BlockMaker } from './block';
import { needsOut } from './refusals';

const fields = {} as const;

/** Pieces with web behind them that were trimmed in place are fused once everything is sewn. */
export const fusePieces: BlockMaker<typeof fields> = {
  kind: 'fuse-pieces',
  name: 'Fuse the pieces now',
  summary: 'What has fusible web behind it and was trimmed in place is fused once all is sewn.',
  group: 'Afterwards',
  fields,
  refuses: (standing) =>
    needsOut(standing) ??
    (standing.unfused.length > 0
      ? null
      : { why: 'No piece waits for the iron.', repair: 'Give a piece web that is fused when all is sewn.' }),
  make(site) {
    const { before } = site.s;
    site.standing.unfused.forEach(({ id }, at) => {
      site.hand(`fuse-${at + 1}`, { do: 'fuse', pieceId: id }, { needs: before });
    });
  }
};
