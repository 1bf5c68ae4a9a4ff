<script lang="ts">
  import { page } from '$app/state';
</script>

<div class="py-10">
  <h1 class="text-3xl">{page.status === 404 ? 'There is no such page.' : 'Something went wrong.'}</h1>
  <p class="mt-3 text-soft">
    {page.status === 404 ? 'It may have been moved.' : page.error?.message} Nothing you have stored is touched.
  </p>
  <a href="/" class="button mt-6">To the bench</a>
</div>
