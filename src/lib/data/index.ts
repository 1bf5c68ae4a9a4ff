export * from './client';
export * from './demo';
export * from './items';
export * from './live.svelte';
export * from './runs';
export * from './server';
export * from './shop';
export * from './workbench';
