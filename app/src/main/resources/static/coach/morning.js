// The coach's morning by keys: one strand at a time, opened in place, the next under the hand.
const strands = () => [...document.querySelectorAll('.strand')];
const current = () => document.activeElement?.closest?.('.strand') ?? null;

function move(by) {
  const all = strands();
  const at = current() ? all.indexOf(current()) + by : 0;
  all[Math.max(0, Math.min(all.length - 1, at))]?.focus();
}

function open(strand) {
  const part = strand?.querySelector('.strand-open');
  if (!part) return;
  if (part.childElementCount > 0) part.replaceChildren();
  else strand.querySelector('button.open').click();
}

const acts = {
  j: () => move(1),
  k: () => move(-1),
  o: () => open(current()),
  t: () => current()?.querySelector('button.take')?.click(),
  l: () => current()?.querySelector('button.leave')?.click(),
  r: () => current()?.querySelector('.reply-field')?.focus(),
  d: () => current()?.querySelector('button.dealt')?.click(),
};

document.addEventListener('keydown', event => {
  if (event.target.closest('input, textarea, select') || event.ctrlKey || event.metaKey || event.altKey) {
    if (event.key === 'Escape') event.target.closest('.strand')?.focus();
    return;
  }
  const act = acts[event.key];
  if (!act) return;
  event.preventDefault();
  act();
});
