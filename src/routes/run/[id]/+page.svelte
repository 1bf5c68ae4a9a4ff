<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { RunHead } from '$lib/core/documents/run';
  import type { Shop } from '$lib/core/documents/shop';
  import { type PlanAndTrace, planAndTrace } from '$lib/core/making/plan';
  import {
    bobbinColourName,
    bobbinsInSteps,
    headsTogether,
    needleSheet,
    stationBobbins
  } from '$lib/core/preparing/threads';
  import { beforeStart, foldRun, type RunTable, runTable, type StartCheck } from '$lib/core/running/runs';
  import { machineJobOf } from '$lib/core/running/standIn';
  import { trialFor, trialWords } from '$lib/core/running/trial';
  import { factsOf, saidOfLastTime } from '$lib/core/running/causes';
  import { review } from '$lib/core/making/checks';
  import type { Item } from '$lib/core/documents/item';
  import { LEAVE_ON } from '$lib/core/ordering/hoopings';
  import { bobbinUse } from '$lib/core/solvers/bobbins';
  import { report } from '../../report';
  import { PICTURE_SIZES, smallPicture } from '$lib/files';
  import {
    addPhoto,
    appendEvent,
    bobbinsMeasured,
    troubledRuns,
    clientId,
    eventsOf,
    freshId,
    getItem,
    getRun,
    getShop,
    keepBobbin,
    keepVoice,
    leftInHoop,
    live,
    nextInHoop,
    RunFollowing,
    voiceKept,
    type EventDraft
  } from '$lib/data';
  import { toast } from 'svelte-sonner';
  import { forgetSeen } from './away';
  import FollowDialog from './FollowDialog.svelte';
  import RunScreen from './RunScreen.svelte';

  const run = live(
    () => page.params.id ?? '',
    async (id) => ({ head: await getRun(id), events: await eventsOf(id) })
  );
  const head = $derived(run.value?.head);
  const table = live(
    () => head?.itemId,
    async (id) => ({
      item: id === undefined ? undefined : await getItem(id),
      shop: await getShop(),
      measured: await bobbinsMeasured(),
      troubled: await troubledRuns()
    })
  );
  const voice = live(() => null, voiceKept);
  const events = $derived(run.value?.events ?? []);
  const folded = $derived(head && foldRun(head.plan.steps, events));
  const machine = $derived(table.value?.shop.machines.find(({ id }) => id === head?.plan.machine.id));

  /** One simulation leads through the run: of its item as it was when it started. */
  const simulated = $derived(head && table.value ? runTable(head, table.value.item) : null);

  /** What to look at before the start; of an item that is gone only what the plan knows. */
  const checks = $derived.by((): StartCheck[] => {
    const shop = table.value?.shop;
    if (!head || !shop || folded?.phase !== 'not-started') return [];
    const { plan } = head;
    const item = simulated?.item;
    const made = simulated && onceThrough(simulated, shop);
    const { copies } = head.order ?? head.setup;
    const heads = machine ? headsTogether(machine) : 1;
    const together = Math.min(heads, copies);
    // The steps of an order’s hooping say themselves where its bobbins are changed.
    const bobbins = head.order
      ? bobbinsInSteps(plan, head.order.heads ?? together)
      : made
        ? stationBobbins(made, bobbinUse(table.value?.measured ?? []), { ...head.setup, copies, heads })
        : { wind: [], changes: 0, heads: together };
    const needles = made && machine ? needleSheet(made, machine) : { rows: [], advice: [], needles: [] };
    const bobbinName = (colour: string): string => bobbinColourName(colour, plan, head.setup.bobbin);
    const trial = item ? trialFor(shop, item) : null;
    return beforeStart({
      plan,
      item,
      machine,
      bobbins,
      needles,
      bobbinName,
      ...(trial && { trial: trialWords(trial) }),
      lastTime: item ? lastTimeOf(item, head, shop, table.value?.troubled ?? []) : []
    });
  });

  /** What went wrong before and could here for the same reason. */
  function lastTimeOf(
    item: Item,
    { setup, plan }: RunHead,
    shop: Shop,
    troubled: NonNullable<typeof table.value>['troubled']
  ): string[] {
    if (troubled.length === 0) return [];
    const { checked } = review(item, setup, shop);
    return saidOfLastTime(factsOf(item, plan, machine, checked.open, null), troubled);
  }

  /** The item as the bobbins are planned for it: its own plan, or of one hooping of an order the plan of one copy. */
  function onceThrough({ item, trace }: RunTable, shop: Shop): PlanAndTrace {
    const { plan, order, setup } = head as RunHead;
    return order
      ? planAndTrace(item, setup, shop)
      : { plan, trace, item, cutAccuracy: shop.cutAccuracy, hoops: shop.hoops };
  }

  // A run that is over, here or on another screen, stands in the log; one of an order ticks the order down.
  $effect(() => {
    if (head && (folded?.phase === 'finished' || folded?.phase === 'stopped-early')) void leaveFor(head);
  });
  async function leaveFor(over: RunHead): Promise<void> {
    forgetSeen(over.id);
    // What shared its hoop is finished at the table now.
    const left = await leftInHoop(over);
    if (left !== undefined) return goto(`/run/${left}`);
    await goto(over.order ? `/orders/${over.order.orderId}?tab=day` : `/log/${over.id}`);
  }
  /** The hoop stays on: the run of its next item. This one waits for it, so that no time of hands is counted. */
  async function goOnInHoop(from: RunHead): Promise<void> {
    const next = await nextInHoop(from, freshId(), Date.now(), clientId());
    if (next) {
      await appendEvent(from.id, { type: 'pause', stepId: null }, Date.now(), clientId());
      await goto(`/run/${next}`);
    } else if (next === undefined)
      toast.error('What is to be stitched next in this hoop is gone from the order.');
  }

  /**
   * Stores what was pressed; the screen follows the store. Nothing locks a press out: one that bounces names the step
   * that was on the screen, and the fold counts a step done once.
   */
  async function write(draft: EventDraft): Promise<void> {
    if (!head) return;
    try {
      await appendEvent(head.id, draft, Date.now(), clientId());
      if (draft.type === 'done' && draft.stepId === LEAVE_ON) await goOnInHoop(head);
    } catch (problem) {
      report(problem, 'This is not stored, so the screen has not moved.');
    }
  }

  async function photograph(image: File, stepId: string | null): Promise<void> {
    if (!head) return;
    try {
      const small = await smallPicture(image, PICTURE_SIZES.photo);
      await addPhoto({
        id: freshId(),
        runId: head.id,
        at: Date.now(),
        stepId,
        name: image.name,
        image: small.image
      });
      toast('The photo is with this run.');
    } catch (error) {
      report(error, 'The photo is not kept.');
    }
  }

  let choosing = $state(false);
  let following = $state.raw<RunFollowing | null>(null);
  const followedId = $derived(folded?.follows ?? null);
  const drives = $derived(events.findLast(({ type }) => type === 'follow')?.text === 'drive');
  $effect(() => {
    const [runId, session] = [page.params.id, followedId];
    if (!runId || session === null) return;
    const made = new RunFollowing(runId, session);
    following = made;
    void made.open();
    return () => {
      made.close();
      following = null;
    };
  });
  $effect(() => {
    // Whenever the machine or the run has moved.
    if (head && folded && following?.watch.state && drives)
      void following.drive(head, folded, machineJobOf(head.plan, head.id));
  });
  const followed = $derived.by(() => {
    if (!following) return '';
    const { watch, refused } = following;
    if (watch.gone) return 'The machine it followed is gone: go on by hand';
    if (!watch.connected) return 'No connection to the machine; it comes back by itself';
    if (refused) return `The machine refuses: ${refused}`;
    const { state } = watch;
    const stop = state?.job?.stops[state.at];
    return state
      ? `${state.setup.name}: ${stop ? `stop ${stop.number}, stitch ${Math.floor(state.stitch).toLocaleString('en')}` : state.phase}`
      : '';
  });
  const told = $derived.by(() => {
    const state = following?.watch.connected ? following.watch.state : null;
    const stop = state?.job?.id === head?.id ? state?.job?.stops[state.at] : undefined;
    return state && stop ? { stop: stop.number, stitch: Math.floor(state.stitch) } : null;
  });
</script>

<svelte:head><title>{head?.itemName ?? 'Run'} · Jolt Step</title></svelte:head>

{#if head && folded && table.value}
  <RunScreen
    {head}
    state={folded}
    {simulated}
    {machine}
    {checks}
    bobbinKinds={table.value.shop.bobbins}
    onbobbin={(kind, on) => void keepBobbin(head.id, kind, on)}
    {followed}
    {told}
    anyHidden={table.value.shop.schools['hidden-threads'] !== 'chart'}
    voice={voice.value ?? { spoken: false, tones: false }}
    busy={choosing}
    onevent={(draft) => void write(draft)}
    onvoice={(change) => void keepVoice({ ...(voice.value ?? { spoken: false, tones: false }), ...change })}
    onphoto={(file, stepId) => void photograph(file, stepId)}
    onfollow={() => (choosing = true)}
    onleave={() => void goto('/')}
  />
  <FollowDialog
    open={choosing}
    following={followedId}
    onclose={() => (choosing = false)}
    onfollow={(session, presses) => {
      choosing = false;
      void write({
        type: 'follow',
        stepId: null,
        text: presses ? 'drive' : '',
        ...(session !== null && { to: session })
      });
    }}
  />
{:else if run.value && !head}
  <main class="p-10">
    <h1 class="text-3xl">There is no such run.</h1>
    <a href="/" class="button mt-6">To the bench</a>
  </main>
{/if}
