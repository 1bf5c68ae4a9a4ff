<script lang="ts">
  import type { DocumentError } from '$lib/core/documents/files';
  import { MAX_ITEM_BYTES } from './files';
  import PickFile from './PickFile.svelte';

  /** A button that opens a document file; one that is too large or cannot be read is refused in words. */
  interface Props {
    /** `item`, `order` */
    kind: string;
    /** Takes the text of the file in; gives what is wrong with it. */
    onopen: (text: string) => Promise<DocumentError | null>;
    /** Called with nothing when a new file is tried. */
    onrefused: (why: string) => void;
  }
  let { kind, onopen, onrefused }: Props = $props();
  const one = $derived(/^[aeiou]/.test(kind) ? `an ${kind}` : `a ${kind}`);

  async function open(file: File | undefined): Promise<void> {
    onrefused('');
    if (!file) return;
    if (file.size > MAX_ITEM_BYTES)
      return onrefused(`${file.name} is larger than ${one} can be (5 MiB). Nothing was changed.`);
    const error = await onopen(await file.text());
    if (error) onrefused(`${file.name}: ${error.message} Nothing was changed.`);
  }
</script>

<PickFile
  label="{kind.charAt(0).toUpperCase()}{kind.slice(1)} file"
  accept=".json,application/json"
  onfiles={([file]) => void open(file)}>Open {one} file</PickFile
>
