// A workout onto a day: drag what carries data-put, press its button, or press d on it. The days are the server's.
const FAR = 6;
let from = null;

const place = () => document.getElementById('put');
const at = (x, y) => document.elementFromPoint(x, y)?.closest?.('.put-day') ?? null;

async function open(carrier, focus) {
  from = carrier;
  const path = `/a/${place().dataset.athlete}/put?workout=${carrier.dataset.put}`;
  await htmx.ajax('GET', path, {target: '#put', swap: 'innerHTML'});
  for (const field of place().querySelectorAll('.put-page')) field.value = place().dataset.page;
  if (focus) place().querySelector('.put-day')?.focus();
}

function close() {
  place().replaceChildren();
  (from?.querySelector?.('a, button') ?? from)?.focus?.();
}

document.addEventListener('click', event => {
  const opener = event.target.closest('.put-open');
  if (opener) open(opener.closest('[data-put]'), true);
  else if (event.target.closest('.put-close')) close();
});

document.addEventListener('keydown', event => {
  if (event.target.closest('input, textarea, select') || event.ctrlKey || event.metaKey || event.altKey) return;
  const carrier = event.target.closest('[data-put]');
  if (event.key === 'd' && carrier) {
    event.preventDefault();
    event.stopImmediatePropagation();
    open(carrier, true);
    return;
  }
  const day = event.target.closest('.put-day');
  if (!day) return;
  if (event.key === 'Escape') close();
  const by = {ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1}[event.key];
  if (!by) return;
  event.preventDefault();
  const all = [...document.querySelectorAll('.put-day')];
  all[all.indexOf(day) + by]?.focus();
}, true);

// Dragging, by mouse or pen: a finger scrolls, and has the button.
document.addEventListener('pointerdown', down => {
  const carrier = down.target.closest('[data-put]');
  if (!carrier || down.button !== 0 || down.pointerType === 'touch') return;
  let ghost = null;
  const move = event => {
    if (!ghost && Math.hypot(event.clientX - down.clientX, event.clientY - down.clientY) < FAR) return;
    if (!ghost) {
      ghost = document.createElement('div');
      ghost.className = 'put-ghost';
      ghost.textContent = carrier.dataset.title;
      document.body.append(ghost);
      document.body.classList.add('putting');
      open(carrier, false);
    }
    ghost.style.left = `${event.clientX + 8}px`;
    ghost.style.top = `${event.clientY + 8}px`;
    document.querySelector('.put-day.is-under')?.classList.remove('is-under');
    at(event.clientX, event.clientY)?.classList.add('is-under');
  };
  const end = event => {
    document.removeEventListener('pointermove', move);
    document.removeEventListener('pointerup', end);
    document.removeEventListener('pointercancel', end);
    if (!ghost) return;
    ghost.remove();
    document.body.classList.remove('putting');
    const stop = click => {
      click.preventDefault();
      click.stopPropagation();
    };
    document.addEventListener('click', stop, {capture: true, once: true});
    setTimeout(() => document.removeEventListener('click', stop, true), 0);
    const day = event.type === 'pointerup' ? at(event.clientX, event.clientY) : null;
    if (day) setTimeout(() => day.click(), 0);
  };
  document.addEventListener('pointermove', move);
  document.addEventListener('pointerup', end);
  document.addEventListener('pointercancel', end);
});
document.addEventListener('dragstart', event => {
  if (event.target.closest('[data-put]')) event.preventDefault();
});
