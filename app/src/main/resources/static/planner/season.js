// Drags a block's top, an edge or an event. While dragging the server draws what would be; letting go saves it.
import {otherDay} from '../frame/days.js';

const season = () => document.getElementById('season');
const holder = () => document.getElementById('season-holder');
const replans = () => document.getElementById('replan')?.checked ?? true;
let drag = null;
let asking = false;
let focusAfter = null;

function state() {
  const s = season().dataset;
  return {revision: s.revision, from: s.from ?? '', to: s.to ?? '', replan: replans()};
}

const epochDay = day => Math.round(Date.parse(day + 'T00:00:00Z') / 86400000);

// One change after the other: what the next one says is asked for when the page shows the one before.
let saving = Promise.resolve();
function save(css, asked) {
  saving = saving
    .then(() => {
      const [path, values] = asked() ?? [];
      if (!path) return undefined;
      focusAfter = css;
      return htmx.ajax('POST', `/a/${season().dataset.athlete}/season/${path}`, {
        target: '#season',
        swap: 'outerHTML',
        values: {...state(), ...values},
      });
    })
    .catch(() => undefined);
}

const named = handle =>
  handle.dataset.id
    ? `.event-handle[data-id="${handle.dataset.id}"]`
    : `.${handle.classList[0]}[data-first="${handle.dataset.first}"]`;

function wanted(event) {
  const svg = holder().querySelector('svg').getBoundingClientRect();
  const unit = 1232 / svg.width;
  const drawing = holder().firstElementChild.dataset;
  if (drag.kind === 'LOAD') {
    const perDay = drag.load / drag.days - (event.clientY - drag.y) * unit * drag.points;
    return Math.max(0, Math.round((perDay * drag.days) / 5) * 5);
  }
  return Math.round((event.clientX - drag.x) * unit * drawing.days);
}

async function preview() {
  if (asking || !drag || drag.kind === 'EVENT') return;
  asking = true;
  const body = new URLSearchParams({
    ...state(),
    kind: drag.kind,
    first: drag.first,
    value: drag.kind === 'LOAD' ? drag.now : epochDay(otherDay(drag.last, drag.now)),
  });
  const shown = drag.now;
  try {
    const answer = await fetch(`/a/${season().dataset.athlete}/season/preview`, {
      method: 'POST',
      body,
      headers: {'X-CSRF-TOKEN': document.querySelector('input[name="_csrf"]').value},
    });
    if (answer.ok && drag) holder().innerHTML = await answer.text();
  } finally {
    asking = false;
  }
  if (drag && drag.now !== shown) preview();
}

document.addEventListener('pointerdown', event => {
  const handle = event.target.closest?.('.top-handle, .edge-handle, .event-handle');
  if (!handle || event.button !== 0) return;
  const d = handle.dataset;
  const kind = handle.classList.contains('top-handle')
    ? 'LOAD'
    : handle.classList.contains('edge-handle')
      ? 'EDGE'
      : 'EVENT';
  drag = {
    kind,
    css: named(handle),
    first: d.first,
    last: d.last,
    day: d.day,
    id: d.id,
    load: Number(d.load),
    days: Number(d.days),
    x: event.clientX,
    y: event.clientY,
    points: Number(holder().firstElementChild.dataset.points),
    now: null,
  };
  document.body.classList.add('dragging');
  event.preventDefault();
});

document.addEventListener('pointermove', event => {
  if (!drag) return;
  const now = wanted(event);
  if (now === drag.now) return;
  drag.now = now;
  if (drag.kind === 'EVENT') {
    const days = Number(holder().firstElementChild.dataset.days);
    holder()
      .querySelector(`.event-handle[data-id="${drag.id}"]`)
      .setAttribute('transform', `translate(${now / days} 0)`);
  }
  preview();
});

document.addEventListener('pointerup', () => {
  if (!drag) return;
  const done = drag;
  drag = null;
  document.body.classList.remove('dragging');
  if (done.now === null || (done.kind !== 'LOAD' && done.now === 0)) return;
  save(done.css, () =>
    done.kind === 'LOAD'
      ? ['block', {kind: 'LOAD', first: done.first, value: done.now}]
      : done.kind === 'EDGE'
        ? ['block', {kind: 'EDGE', first: done.first, day: otherDay(done.last, done.now)}]
        : eventOn(done.id, otherDay(done.day, done.now)),
  );
});

/** An event moves with all that is known of it: its own form says it. */
function eventOn(id, day) {
  const form = document.querySelector(`form input[name="id"][value="${id}"]`)?.form;
  return form && ['event', {...Object.fromEntries(new FormData(form)), day}];
}

function stepped(css, up) {
  const handle = document.querySelector(css),
    d = handle?.dataset;
  if (!handle) return null;
  if (handle.classList.contains('top-handle'))
    return [
      'block',
      {
        kind: 'LOAD',
        first: d.first,
        value: Math.max(0, Math.round((Number(d.load) + up * Math.max(5, d.load * 0.05)) / 5) * 5),
      },
    ];
  return handle.classList.contains('edge-handle')
    ? ['block', {kind: 'EDGE', first: d.first, day: otherDay(d.last, up)}]
    : eventOn(d.id, otherDay(d.day, up));
}

document.addEventListener('keydown', event => {
  const handle = event.target.closest?.('.top-handle, .edge-handle, .event-handle');
  if (!handle) return;
  const up =
    event.key === 'ArrowUp' || event.key === 'ArrowRight'
      ? 1
      : event.key === 'ArrowDown' || event.key === 'ArrowLeft'
        ? -1
        : 0;
  if (!up) return;
  event.preventDefault();
  const css = named(handle);
  save(css, () => stepped(css, up));
});

document.addEventListener('htmx:configRequest', event => {
  if (event.detail.parameters.replan !== undefined) event.detail.parameters.replan = replans();
});
let replanned = true;
document.addEventListener('htmx:beforeSwap', () => {
  replanned = replans();
});
document.addEventListener('htmx:afterSwap', () => {
  const box = document.getElementById('replan');
  if (box) box.checked = replanned;
  if (focusAfter) document.querySelector(focusAfter)?.focus();
  focusAfter = null;
});
