<script lang="ts">
  import { pathData, type Region } from '$lib/core/base/geometry';
  import type { Appearance, Side } from '$lib/core/making/appearance';
  import { faceColour } from '$lib/core/making/appearance';
  import ArtPicture from './ArtPicture.svelte';
  import { markColour, textureOf } from './cloth';
  import FittingMark from './FittingMark.svelte';
  import StitchedArea from './StitchedArea.svelte';
  import { photoUrl, wantPhotos } from './photos.svelte';

  interface Props {
    look: Appearance;
    side?: Side['side'];
    /** What it is, for those who hear it. */
    name: string;
    /** Whether a bar of 50 mm stands under it. */
    scale?: boolean;
  }
  let { look, side = 'front', name, scale = false }: Props = $props();

  const uid = $props.id();
  const MARGIN = 3;
  const face = $derived(look.sides.find((each) => each.side === side) ?? look.sides[0]);
  $effect(() => {
    const wanted = [
      ...(look.photo === undefined ? [] : [look.photo]),
      ...(face?.patches ?? []).flatMap(({ photo }) => (photo ? [photo.picture] : [])),
      ...(face?.art ?? []).map(({ picture }) => picture)
    ];
    wantPhotos(wanted);
  });
  /** The finished item itself, where the maker kept a photo of it. */
  const finished = $derived(look.photo === undefined ? undefined : photoUrl(look.photo));
  const hasArt = $derived(
    face !== undefined && face.art.length > 0 && face.art.every(({ picture }) => photoUrl(picture))
  );
  const box = $derived(look.box);
  const isBehind = $derived(side === 'back');
  const view = $derived(
    `${(isBehind ? -box.maxX : box.minX) - MARGIN} ${box.minY - MARGIN} ${box.width + 2 * MARGIN} ${box.height + 2 * MARGIN + (scale ? 5 : 0)}`
  );
  const words = $derived(
    face && face.patches.length > 0
      ? `${name}, ${side}: ${face.patches.map((patch) => `${patch.name}${patch.amiss ? ', wrong side out' : ''}`).join('; ')}.`
      : `${name}: nothing to see yet.`
  );
  const shape = (region: Region): string =>
    region.map((points) => pathData({ closed: true, points })).join('');
  const BAR = 50;
</script>

{#if finished}
  <img src={finished} alt="{name}, finished" class="block h-full w-full rounded object-cover" />
{:else}<svg
    viewBox={view}
    role="img"
    aria-label={words}
    class="block h-full w-full"
    preserveAspectRatio="xMidYMid meet"
  >
    {#if face}
      <g transform={isBehind ? 'scale(-1 1)' : undefined}>
        <defs>
          {#each face.patches as patch, at (at)}
            {@const texture = textureOf(patch.kind, patch.rightSide)}
            {@const photo = patch.photo && photoUrl(patch.photo.picture)}
            <clipPath id="{uid}-c{at}"><path d={shape(patch.region)} clip-rule="evenodd" /></clipPath>
            {#if patch.photo && photo}
              <pattern
                id="{uid}-p{at}"
                width={patch.photo.width}
                height={patch.photo.height}
                patternUnits="userSpaceOnUse"
              >
                <image
                  href={photo}
                  width={patch.photo.width}
                  height={patch.photo.height}
                  preserveAspectRatio="none"
                />
              </pattern>
            {:else if texture}
              <pattern
                id="{uid}-w{at}"
                width={texture.size}
                height={texture.size}
                patternUnits="userSpaceOnUse"
              >
                <path
                  d={texture.lines}
                  fill="none"
                  stroke={markColour(patch.colour)}
                  stroke-width={texture.width}
                  stroke-linecap="round"
                />
              </pattern>
            {/if}
          {/each}
        </defs>
        {#each face.patches as patch, at (at)}
          {@const d = shape(patch.region)}
          <path {d} fill={faceColour(patch.colour, patch.rightSide)} fill-rule="evenodd" class="patch" />
          {#if patch.photo && photoUrl(patch.photo.picture)}<path
              {d}
              fill="url(#{uid}-p{at})"
              fill-rule="evenodd"
              class="patch"
            />
          {:else if textureOf(patch.kind, patch.rightSide)}<path
              {d}
              fill="url(#{uid}-w{at})"
              fill-rule="evenodd"
            />{/if}
          {#if patch.teeth}
            {@const [x1, y1, x2, y2] = [...patch.teeth.from, ...patch.teeth.to]}
            <g clip-path="url(#{uid}-c{at})">
              <line {x1} {y1} {x2} {y2} stroke="#c9c6bd" stroke-width="3.4" stroke-dasharray="1 0.7" />
              <rect
                x={x1 + (x2 - x1) * 0.78 - 3}
                y={y1 + (y2 - y1) * 0.78 - 2.4}
                width="7"
                height="4.8"
                rx="1"
                fill="#b9b3a2"
                stroke={markColour(patch.colour, 0.6)}
                stroke-width="0.4"
              />
            </g>
          {/if}
          {#each patch.folds as fold, nth (nth)}
            <line
              x1={fold.from[0]}
              y1={fold.from[1]}
              x2={fold.to[0]}
              y2={fold.to[1]}
              clip-path="url(#{uid}-c{at})"
              stroke={markColour(patch.colour, 0.5)}
              stroke-width="0.6"
            />
          {/each}
        {/each}
        {#each face.threads as thread, at (at)}
          {#if !(thread.asArt && hasArt)}
            {@const on = face.patches.findIndex(({ pieceId }) => pieceId === thread.on)}
            <g clip-path={on >= 0 ? `url(#${uid}-c${on})` : undefined} fill="none">
              {#if thread.weave === 'filled' || thread.weave === 'net'}
                <StitchedArea work={thread} id="{uid}-t{at}" large={Math.max(box.width, box.height)} />
              {:else}
                {#each thread.paths as path, nth (nth)}
                  {@const d = pathData(path)}
                  {#if thread.weave === 'satin'}
                    <path
                      {d}
                      stroke={thread.colours[0]}
                      stroke-width={thread.width}
                      stroke-linejoin="round"
                    />
                    <path
                      {d}
                      stroke={markColour(thread.colours[0] ?? '', 0.35)}
                      stroke-width={thread.width}
                      stroke-dasharray="0.3 0.7"
                      stroke-linejoin="round"
                    />
                  {:else}
                    <path
                      {d}
                      stroke={thread.colours[0]}
                      stroke-width={thread.width}
                      stroke-dasharray="2.2 0.9"
                    />
                  {/if}
                {/each}
              {/if}
            </g>
          {/if}
        {/each}
        {#each face.art as art (art.id)}
          {@const url = photoUrl(art.picture)}
          {@const on = face.patches.findIndex(({ pieceId }) => pieceId === art.on)}
          {#if url}<g clip-path={on >= 0 ? `url(#${uid}-c${on})` : undefined}><ArtPicture {art} {url} /></g
            >{/if}
        {/each}
        {#each face.fittings as fitting, at (at)}<FittingMark {fitting} />{/each}
      </g>
      {#if scale}
        {@const x = (isBehind ? -box.maxX : box.minX) + 1}
        {@const y = box.maxY + MARGIN + 2}
        <path d="M{x} {y}v2h{Math.min(BAR, box.width - 2)}v-2" class="bar" />
      {/if}
    {/if}
  </svg>{/if}

<style>
  .patch {
    stroke: var(--edge);
    stroke-width: 0.5;
  }
  .bar {
    fill: none;
    stroke: var(--ink);
    stroke-width: 0.5;
  }
</style>
