<script lang="ts">
  import {
    CircleDot,
    Disc3,
    Droplet,
    Eye,
    Flag,
    FlipVertical2,
    Flame,
    Gauge,
    Hourglass,
    Layers2,
    MoveVertical,
    Paperclip,
    Pencil,
    RefreshCw,
    Scissors,
    Spline,
    Split,
    Spool,
    CircleDashed
  } from '@lucide/svelte';
  import type { Mark } from '$lib/core/documents/plan';

  const ICONS = {
    start: Flag,
    hoop: CircleDashed,
    move: MoveVertical,
    turn: RefreshCw,
    lay: Layers2,
    hold: Paperclip,
    heat: Flame,
    fold: FlipVertical2,
    cut: Scissors,
    thread: Spool,
    bobbin: Disc3,
    machine: Gauge,
    look: Eye,
    tear: Split,
    water: Droplet,
    wait: Hourglass,
    fasten: CircleDot,
    sew: Spline,
    note: Pencil
  } satisfies Record<Mark, typeof Flag>;

  let { mark, size = 18, x, y }: { mark: Mark; size?: number; x?: number; y?: number } = $props();
  const Icon = $derived(ICONS[mark]);
</script>

<Icon {size} {x} {y} strokeWidth={2} aria-hidden="true" />
