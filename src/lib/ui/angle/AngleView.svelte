<script lang="ts">
  import { faceColour } from '$lib/core/making/appearance';
  import { markColour, textureOf } from '$lib/ui/picture/cloth';
  import type { AngleScene } from './scene';

  /** The layers apart, seen at an angle, with their names beside them. */
  let { scene }: { scene: AngleScene } = $props();

  const uid = $props.id();
  const words = $derived(
    `The layers apart, nearest to you first: ${[...scene.layers]
      .reverse()
      .map((layer) => `${layer.name}, ${layer.words}`)
      .join('; ')}.`
  );
  /** Dots of the drawing to one of its weaves. */
  const SHARE = 1.6;
</script>

{#if scene.layers.length > 0}
  <figure class="flex gap-3">
    <svg
      width={scene.width}
      height={scene.height}
      viewBox="0 0 {scene.width} {scene.height}"
      role="img"
      aria-label={words}
      class="shrink-0 {scene.motion === 'turn' || scene.motion === 'through' ? scene.motion : ''}"
    >
      <defs>
        {#each scene.layers as layer, at (at)}
          {@const texture = textureOf(layer.kind, layer.rightSide)}
          <clipPath id="{uid}-c{at}"><path d={layer.shape} clip-rule="evenodd" /></clipPath>
          {#if texture}
            <pattern
              id="{uid}-{at}"
              width={texture.size}
              height={texture.size}
              patternUnits="userSpaceOnUse"
              patternTransform="matrix({SHARE} 0 {-SHARE * 0.42} {SHARE * 0.5} 0 0)"
            >
              <path
                d={texture.lines}
                fill="none"
                stroke={markColour(layer.colour)}
                stroke-width={texture.width * 1.3}
              />
            </pattern>
          {/if}
        {/each}
      </defs>
      {#each scene.layers as layer, at (layer.pieceId)}
        <g class={layer.now && scene.motion ? scene.motion : ''}>
          <path
            d={layer.shape}
            fill={faceColour(layer.colour, layer.rightSide)}
            fill-rule="evenodd"
            class={layer.now ? 'layer now' : 'layer'}
          />
          {#if textureOf(layer.kind, layer.rightSide)}<path
              d={layer.shape}
              fill="url(#{uid}-{at})"
              fill-rule="evenodd"
            />{/if}
          {#if layer.seams}<path d={layer.seams} class="seam" clip-path="url(#{uid}-c{at})" />{/if}
          {#if layer.tape}<path d={layer.tape} class="tape" />{/if}
          {#each layer.pins as [x, y], nth (nth)}<circle cx={x} cy={y} r="2.4" class="pin" />{/each}
        </g>
        {#if scene.ring?.at === at}<path d={scene.ring.shape} class="ring" />{/if}
      {/each}
    </svg>
    <ol class="relative min-w-0 flex-1" style:height="{scene.height}px">
      {#each [...scene.layers].reverse() as layer (layer.pieceId)}
        <li class="absolute inset-x-0 -translate-y-1/2 text-sm leading-tight" style:top="{layer.y}px">
          <span
            class="block truncate {layer.now ? 'font-bold text-hands' : 'font-semibold'}"
            title={layer.name}>{layer.name}</span
          >
          <span class="block truncate text-soft" title={layer.words}>{layer.words}</span>
        </li>
      {/each}
    </ol>
  </figure>
{/if}

<style>
  .ring {
    fill: none;
    stroke: var(--edge);
    stroke-width: 7;
    stroke-linejoin: round;
  }
  .layer {
    stroke: var(--edge);
    stroke-width: 1.1;
  }
  .layer.now {
    stroke: var(--hands);
    stroke-width: 2.4;
  }
  .seam {
    fill: none;
    stroke: var(--needle);
    stroke-width: 1.6;
    stroke-dasharray: 4 2.5;
  }
  .tape {
    fill: var(--tape);
    stroke: var(--edge);
    stroke-width: 0.8;
  }
  .pin {
    fill: var(--hands);
  }
  @media (prefers-reduced-motion: no-preference) {
    g.lay {
      animation: lay 0.7s ease-out;
    }
    g.flip {
      transform-box: fill-box;
      transform-origin: bottom;
      animation: flip 0.9s ease-in-out;
    }
    svg.turn {
      animation: turn 0.9s ease-in-out;
    }
    svg.through {
      animation: through 1.1s ease-in-out;
    }
  }
  @keyframes lay {
    from {
      opacity: 0;
      translate: 0 -48px;
    }
  }
  @keyframes flip {
    from {
      scale: 1 -1;
    }
  }
  @keyframes turn {
    from {
      transform: perspective(900px) rotateX(-180deg);
    }
  }
  @keyframes through {
    from {
      transform: perspective(900px) rotateY(180deg) scale(0.6);
    }
  }
</style>
