// Boundaries by dragging or by arrow keys. Where one ends up is the server's answer: it stops at its neighbours.
const bar = () => document.querySelector('.zone-bar');

function send(index, value) {
  const form = document.getElementById('editor');
  const values = Object.fromEntries(new FormData(form));
  values.do = `move:${index}:${value}`;
  htmx
    .ajax('POST', form.getAttribute('hx-post'), {target: '#editor', swap: 'outerHTML', values})
    .then(() => document.querySelector(`.handle[data-index="${index}"]`)?.focus());
}

function scale() {
  const {low, high, gap} = bar().dataset;
  return {low: Number(low), high: Number(high), gap: Number(gap)};
}

function valueAt(event) {
  const box = bar().getBoundingClientRect();
  const {low, high, gap} = scale();
  const raw = low + ((high - low) * (event.clientX - box.left)) / box.width;
  return Math.max(gap, Math.round(raw / gap) * gap).toFixed(gap < 1 ? 2 : 0);
}

let held = null;
document.addEventListener('pointerdown', event => {
  held = event.target.closest?.('.handle') ?? null;
  if (held) event.preventDefault();
  held?.focus();
});
document.addEventListener('pointermove', event => {
  if (!held) return;
  const box = bar().getBoundingClientRect();
  const x = Math.max(0, Math.min(1000, ((event.clientX - box.left) / box.width) * 1000));
  held.setAttribute('transform', `translate(${x} 0)`);
  held.querySelector('text').textContent = valueAt(event);
});
document.addEventListener('pointerup', event => {
  if (!held) return;
  const index = held.dataset.index;
  held = null;
  send(index, valueAt(event));
});
// Keys repeat faster than the server answers: the handle moves at once, and the last place is sent when the keys rest.
const REST = 200;
let resting = 0;
document.addEventListener('keydown', event => {
  const handle = event.target.closest?.('.handle');
  if (!handle || !['ArrowLeft', 'ArrowRight'].includes(event.key)) return;
  event.preventDefault();
  const {low, high, gap} = scale();
  const next = Number(handle.dataset.value) + (event.key === 'ArrowRight' ? gap : -gap);
  if (next <= 0) return;
  handle.dataset.value = next;
  handle.setAttribute('transform', `translate(${((next - low) / (high - low)) * 1000} 0)`);
  handle.querySelector('text').textContent = next.toFixed(gap < 1 ? 2 : 0);
  clearTimeout(resting);
  resting = setTimeout(() => send(handle.dataset.index, next.toFixed(gap < 1 ? 2 : 1)), REST);
});
// Enter in the list of boundaries makes zones of them, rather than pressing the form's first button.
document.addEventListener('keydown', event => {
  if (event.key !== 'Enter' || event.target.name !== 'absolute') return;
  event.preventDefault();
  event.target.form.querySelector('button[value="absolute"]').click();
});
