/** The demo documents, read when the server is built. */
const files: Record<string, unknown> = import.meta.glob('../../../demo/**/*.json', {
  eager: true,
  import: 'default'
});

/** The demo as it is sent. */
interface DemoPack {
  shop: unknown;
  stash: unknown;
  items: unknown[];
  setups: unknown[];
  runs: unknown[];
  orders: unknown[];
}

/** All documents of the demo stall. They are checked where they are taken in, and by the tests. */
export function demoPack(): DemoPack {
  const inFolder = (folder: string): unknown[] =>
    Object.entries(files)
      .filter(([path]) => path.includes(`/demo/${folder}/`))
      .map(([, document]) => document);
  return {
    shop: files['../../../demo/shop.json'],
    stash: files['../../../demo/stash.json'],
    items: inFolder('items'),
    setups: inFolder('setups'),
    runs: inFolder('runs'),
    orders: inFolder('orders')
  };
}
