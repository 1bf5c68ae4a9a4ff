<script lang="ts" module>
  /** One thing the screen can be told: a big target and a key a pedal or a finger reaches blind. */
  import type { RunKey } from './keys';
</script>

<script lang="ts">
  /** `quiet` keys have no button here; `listening` is false while something else, as a question, has the keyboard. */
  let { keys, quiet, listening }: { keys: RunKey[]; quiet: RunKey[]; listening: boolean } = $props();

  function onkeydown(event: KeyboardEvent): void {
    if (!listening || event.ctrlKey || event.metaKey || event.altKey) return;
    // A number is being typed: only a pedal still presses.
    const typing = event.target instanceof HTMLInputElement && event.target.type === 'text';
    if (typing && event.key.length === 1) return;
    const pressed = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const found = [...keys, ...quiet].find((candidate) => candidate.keys.includes(pressed));
    if (!found) return;
    // The key counts once, also when a button has the focus or the key is held down.
    event.preventDefault();
    if (found.enabled && !event.repeat) found.press();
  }
</script>

<svelte:window {onkeydown} />

<footer class="keys">
  {#each keys as { label, hint, enabled, press }, at (hint)}
    <button type="button" class={at === 0 ? 'key main' : 'key'} disabled={!enabled} onclick={press}>
      {label}<small>{hint}</small>
    </button>
  {/each}
</footer>

<style>
  .keys {
    display: grid;
    grid-template-columns: 2.2fr repeat(7, minmax(0, 1fr));
    gap: 0.6rem;
  }
  .key {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    min-height: 68px;
    padding: 0 0.25rem;
    border: 2px solid var(--ink);
    border-radius: 6px;
    font: 700 1.0625rem / 1.15 var(--font-head);
  }
  .key small {
    font: 400 0.9375rem var(--font-text);
    color: var(--soft);
  }
  .key.main {
    background: var(--ink);
    color: var(--ground);
    font-size: 1.75rem;
  }
  .key.main small {
    color: var(--ground);
  }
  .key:disabled {
    border-color: var(--rule-strong);
    color: var(--soft);
  }
  @media (orientation: portrait) {
    .keys {
      grid-template-columns: repeat(10, minmax(0, 1fr));
    }
    .key {
      grid-column: span 2;
    }
    .key.main {
      grid-column: span 6;
      min-height: 104px;
    }
  }
  @media (max-width: 560px) {
    .keys {
      position: sticky;
      bottom: 0;
      gap: 0.35rem;
      padding: 0.5rem 0;
      background: var(--sheet);
    }
    .key {
      min-height: 52px;
      font-size: 0.875rem;
    }
    .key.main {
      min-height: 64px;
      font-size: 1.5rem;
    }
    /* Nobody has a keyboard there. */
    .key small {
      display: none;
    }
  }
</style>
