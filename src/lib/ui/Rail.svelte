<script lang="ts">
  import { page } from '$app/state';
  import { Moon, Sun } from '@lucide/svelte';
  import { NAVIGATION } from './navigation';
  import { theme } from './theme.svelte';

  const here = (href: string): boolean =>
    href === '/' ? page.url.pathname === '/' : page.url.pathname.startsWith(href);
</script>

<nav
  aria-label="Rooms"
  class="no-print sticky top-0 flex h-screen w-24 shrink-0 flex-col border-r-[1.5px] border-ink py-5 max-[900px]:fixed max-[900px]:inset-x-0 max-[900px]:top-auto max-[900px]:bottom-0 max-[900px]:z-10 max-[900px]:h-auto max-[900px]:w-full max-[900px]:flex-row max-[900px]:border-t-[1.5px] max-[900px]:border-r-0 max-[900px]:bg-ground max-[900px]:py-1"
>
  <a href="/" class="head px-3.5 pb-6 text-xl leading-none max-[900px]:hidden">Jolt<br />Step</a>
  {#each NAVIGATION as { href, name } (href)}
    <a
      {href}
      aria-current={here(href) ? 'page' : undefined}
      class="flex min-h-11 items-center border-l-4 px-3 max-[900px]:min-w-0 max-[900px]:flex-1 max-[900px]:justify-center max-[560px]:px-0 max-[560px]:text-[0.8125rem] max-[900px]:border-l-0 max-[900px]:border-t-4 {here(
        href
      )
        ? 'border-ink font-bold'
        : 'border-transparent text-soft hover:text-ink'} {href === '/shop' ? 'mt-auto max-[900px]:mt-0' : ''}"
      >{name}</a
    >
  {/each}
  <button
    type="button"
    class="flex min-h-11 min-w-11 shrink-0 items-center gap-2 px-4 text-soft hover:text-ink max-[560px]:justify-center max-[560px]:px-0"
    onclick={() => theme.turn()}
    aria-label={theme.night ? 'Day colours' : 'Night colours'}
  >
    {#if theme.night}<Sun size={20} aria-hidden="true" />{:else}<Moon size={20} aria-hidden="true" />{/if}
  </button>
</nav>
