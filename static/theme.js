// Runs before the first paint, so that a dark craft room is never lit up by a white page.
(function () {
  var wish = null;
  try {
    wish = localStorage.getItem('jolt-step.theme');
  } catch (error) {
    wish = null;
  }
  if (wish !== 'night' && wish !== 'day') {
    wish = matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day';
  }
  document.documentElement.dataset.theme = wish;
})();
