<script lang="ts">
  import { editHistory } from '$lib/data';
  import { Redo2, Undo2 } from '@lucide/svelte';
  import { redo, undo } from './undo';
</script>

<!-- The same two buttons on every screen that edits: one history for all that was changed in this tab. -->
<div class="no-print flex">
  <button
    type="button"
    class="button button-quiet"
    disabled={$editHistory.undo === null}
    onclick={() => void undo()}
    aria-label="Undo{$editHistory.undo === null ? '' : `: ${$editHistory.undo}`}"
    title="Undo{$editHistory.undo === null ? '' : `: ${$editHistory.undo}`}"
    ><Undo2 size={20} aria-hidden="true" /></button
  >
  <button
    type="button"
    class="button button-quiet"
    disabled={$editHistory.redo === null}
    onclick={() => void redo()}
    aria-label="Redo{$editHistory.redo === null ? '' : `: ${$editHistory.redo}`}"
    title="Redo{$editHistory.redo === null ? '' : `: ${$editHistory.redo}`}"
    ><Redo2 size={20} aria-hidden="true" /></button
  >
</div>
