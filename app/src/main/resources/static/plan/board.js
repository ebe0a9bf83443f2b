// Moves slabs, days and start times by pointer and keyboard; the server decides and answers with the board as it then
// is.
import {otherDay} from '../frame/days.js';

const board = () => document.getElementById('board');
/** Who sees and does not plan moves nothing: the server would refuse it, and a slab would seem to have gone. */
const onlySees = () => document.querySelector('.only-seen') !== null;
let focusAfter = null;
let focusLine = false;

function send(path, values) {
  if (onlySees()) return;
  const b = board();
  htmx.ajax('POST', `/a/${b.dataset.athlete}/${path}`, {
    target: '#board',
    swap: 'outerHTML',
    values: {from: b.dataset.from, to: b.dataset.to, ...values},
  });
}

function sortable() {
  if (onlySees()) return;
  document.querySelectorAll('.board .slabs').forEach(list =>
    Sortable.create(list, {
      group: 'days',
      draggable: '.slab[data-movable=true]',
      forceFallback: true,
      fallbackTolerance: 4,
      delay: 120,
      delayOnTouchOnly: true,
      filter: 'details, input, button',
      preventOnFilter: false,
      ghostClass: 'ghost',
      animation: 0,
      onEnd: drag => {
        const id = drag.item.dataset.id;
        if (drag.to === drag.from) return;
        focusAfter = 'slab-' + id;
        const copying = drag.originalEvent && (drag.originalEvent.altKey || drag.originalEvent.ctrlKey);
        send(`sessions/${id}/${copying ? 'copy' : 'move'}`, {
          day: drag.to.dataset.day,
          version: drag.item.dataset.version,
        });
      },
    }),
  );
}

document.addEventListener('keydown', event => {
  if (!event.target.classList?.contains('slab')) return;
  const {id, day, movable, version} = event.target.dataset;
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
  if (event.shiftKey && by && movable === 'true') {
    focusAfter = event.target.id;
    send(`sessions/${id}/move`, {day: otherDay(day, by), version});
    event.preventDefault();
  } else if (by) {
    const all = [...document.querySelectorAll('.slab')];
    all[all.indexOf(event.target) + by]?.focus();
    event.preventDefault();
  } else if (event.key === 'c') {
    focusAfter = event.target.id;
    send(`sessions/${id}/copy`, {day: otherDay(day, 1)});
  } else if (event.key === 'Delete') {
    send(`sessions/${id}/remove`, {version});
  } else if (event.key === 'Enter') {
    event.target.querySelector('a.title').click();
  }
});

// Days and blocks: copy or cut, then paste on the day where they are to begin.
function clip(span, mode) {
  sessionStorage.setItem(
    'pemblar-clip',
    JSON.stringify({first: span.first, last: span.last, mode, athlete: board().dataset.athlete}),
  );
  note(`${mode === 'copy' ? 'Copied' : 'Cut'} ${span.name}. Choose the day where it is to begin, and paste.`);
}

function paste(target) {
  const kept = JSON.parse(sessionStorage.getItem('pemblar-clip') ?? 'null');
  if (!kept || kept.athlete !== board().dataset.athlete) return note('Nothing was copied or cut yet.');
  if (kept.mode === 'move') sessionStorage.removeItem('pemblar-clip');
  send(`days/${kept.mode}`, {first: kept.first, last: kept.last, target});
}

function note(text) {
  const line = document.createElement('p');
  line.className = 'said';
  line.textContent = text;
  document.getElementById('foot').replaceChildren(line);
}

document.addEventListener('keydown', event => {
  if (!event.target.classList?.contains('span-head') || event.ctrlKey || event.metaKey) return;
  const span = event.target.dataset;
  if (event.key === 'c') clip(span, 'copy');
  else if (event.key === 'x') clip(span, 'move');
  else if (event.key === 'v') paste(span.first);
  else if (event.key === 'Enter') event.target.querySelector('[data-open]').click();
  else return;
  event.stopPropagation();
});

// A day or a block is dragged by its heading to the day where it is to begin; with Alt or Ctrl it is copied.
const DRAG_PIXELS = 8;
let carried = null;

function dayUnder(event) {
  return document.elementFromPoint(event.clientX, event.clientY)?.closest('.day');
}

document.addEventListener('pointerdown', event => {
  const head = event.target.closest?.('.span-head');
  if (head && !onlySees() && event.button === 0 && event.pointerType === 'mouse' && !event.target.closest('button'))
    carried = {span: {...head.dataset}, x: event.clientX, y: event.clientY, moving: false};
});
document.addEventListener('pointermove', event => {
  if (!carried) return;
  carried.moving ||= Math.hypot(event.clientX - carried.x, event.clientY - carried.y) > DRAG_PIXELS;
  if (!carried.moving) return;
  document.body.classList.add('dragging');
  document.querySelectorAll('.day.is-target').forEach(day => day.classList.remove('is-target'));
  dayUnder(event)?.classList.add('is-target');
  event.preventDefault();
});
document.addEventListener('pointerup', event => {
  if (!carried) return;
  const {span, moving} = carried;
  carried = null;
  document.body.classList.remove('dragging');
  const target = moving && dayUnder(event)?.dataset.day;
  if (target && target !== span.first)
    send(`days/${event.altKey || event.ctrlKey ? 'copy' : 'move'}`, {first: span.first, last: span.last, target});
});

// The line up to which the plan is shared is dragged to another day, or moved by the arrow keys.
let lined = null;
document.addEventListener('pointerdown', event => {
  const handle = event.target.closest?.('.shared-handle');
  if (!handle || onlySees() || event.button !== 0) return;
  lined = handle;
  handle.setPointerCapture(event.pointerId);
  event.preventDefault();
});
document.addEventListener('pointermove', event => {
  if (!lined) return;
  document.querySelectorAll('.day.is-target').forEach(day => day.classList.remove('is-target'));
  dayUnder(event)?.classList.add('is-target');
});
document.addEventListener('pointerup', event => {
  if (!lined) return;
  const until = dayUnder(event)?.dataset.day;
  const {day} = lined.dataset;
  lined = null;
  if (until && until !== day) send('share', {until});
});
document.addEventListener('keydown', event => {
  const handle = event.target.closest?.('.shared-handle');
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
  if (!handle || !by) return;
  focusLine = true;
  send('share', {until: otherDay(handle.dataset.day, by)});
  event.preventDefault();
});

// Dialogs are shared: what they are about is filled in when they open.
let about = {};

function open(name, dataset) {
  const dialog = document.getElementById(name);
  about = {...dataset};
  const title = dialog.querySelector('h2');
  if (dataset.name) title.textContent = dataset.name;
  else if (dataset.title)
    title.textContent = `${name === 'done' ? 'Done without a recording' : 'Fill in the steps'}: ${dataset.title}`;
  dialog.querySelectorAll('input[name=first]').forEach(i => {
    i.value = dataset.first;
  });
  dialog.querySelectorAll('input[name=last]').forEach(i => {
    i.value = dataset.last;
  });
  dialog.querySelectorAll('input[type=hidden][name=day]').forEach(i => {
    i.value = dataset.first;
  });
  dialog.querySelectorAll('input[name=version]').forEach(i => {
    i.value = dataset.version ?? '';
  });
  const mark = dialog.querySelector('form[data-path="days/mark"]');
  if (mark) {
    mark.elements.note.value = dataset.note ?? '';
    mark.elements.unavailable.checked = dataset.gone === 'true';
  }
  const planned = dialog.querySelector('.of-planned');
  if (planned) planned.hidden = dataset.planned !== 'true';
  const print = dialog.querySelector('#print-block');
  if (print) print.href = `/a/${board().dataset.athlete}/board/print?first=${dataset.first}`;
  dialog.querySelector('.problem').hidden = true;
  dialog.showModal();
}

document.addEventListener('click', event => {
  const opener = event.target.closest('[data-open]');
  if (opener) open(opener.dataset.open, (opener.closest('.slab') ?? opener.closest('.span-head')).dataset);
  if (event.target.closest('[data-close]')) event.target.closest('dialog').close();
  const clipper = event.target.closest('[data-clip]');
  if (clipper) {
    clip(about, clipper.dataset.clip);
    clipper.closest('dialog').close();
  }
  if (event.target.closest('[data-paste]')) {
    event.target.closest('dialog').close();
    paste(about.first);
  }
  if (event.target.closest('#add-session') && !onlySees()) document.getElementById('add').showModal();
});

document.addEventListener('submit', event => {
  const path = event.target.dataset.path;
  if (!path) return;
  event.preventDefault();
  send(path.replace('{id}', about.id), Object.fromEntries(new FormData(event.target)));
});

// The tape: a session is dragged to another clock time, or moved by a quarter of an hour with the arrow keys.
const MINUTE_STEP = 5;
let taped = null;

function startAt(bar, x) {
  const row = bar.closest('.block-row');
  const days = Math.round((Date.parse(row.dataset.last) - Date.parse(row.dataset.first)) / 86400000) + 1;
  const minutes = Math.max(
    0,
    Math.min(days * 1440 - MINUTE_STEP, Math.round(((x / 1000) * days * 1440) / MINUTE_STEP) * MINUTE_STEP),
  );
  const day = otherDay(row.dataset.first, Math.floor(minutes / 1440));
  const time = `${String(Math.floor((minutes % 1440) / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
  send(`sessions/${bar.dataset.id}/start`, {day, time, version: bar.dataset.version});
}

document.addEventListener('pointerdown', event => {
  const bar = event.target.closest?.('.tape .bar[data-id]');
  if (!bar || onlySees() || event.button !== 0) return;
  taped = {
    bar,
    from: event.clientX,
    x: Number(bar.getAttribute('x')),
    scale: 1000 / bar.ownerSVGElement.getBoundingClientRect().width,
  };
  event.preventDefault();
});
document.addEventListener('pointermove', event => {
  if (taped) taped.bar.setAttribute('x', taped.x + (event.clientX - taped.from) * taped.scale);
});
document.addEventListener('pointerup', event => {
  if (!taped) return;
  const {bar, from, x, scale} = taped;
  taped = null;
  if (Math.abs(event.clientX - from) > 1) startAt(bar, x + (event.clientX - from) * scale);
});
document.addEventListener('keydown', event => {
  const bar = event.target.closest?.('.tape .bar[data-id]');
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
  if (!bar || !by) return;
  const row = bar.closest('.block-row');
  const days = Math.round((Date.parse(row.dataset.last) - Date.parse(row.dataset.first)) / 86400000) + 1;
  focusAfter = null;
  startAt(bar, Number(bar.getAttribute('x')) + (by * 1000 * 15) / (days * 1440));
  event.preventDefault();
});

// Forms in a slab's menu tell which days the page shows, so that the answer shows the same.
document.addEventListener('htmx:configRequest', event => {
  if (!board() || !event.detail.elt.closest?.('.slab')) return;
  event.detail.parameters.from = board().dataset.from;
  event.detail.parameters.to = board().dataset.to;
});

// Each day that a proposal would touch says so under its name.
function markTouched() {
  document.querySelectorAll('#touched [data-day]').forEach(mark =>
    document.querySelector(`.day[data-day="${mark.dataset.day}"] h3`)?.after(mark),
  );
}

// A refusal is said in the dialog that it comes from, which keeps what was typed.
document.addEventListener('htmx:afterSwap', event => {
  if (event.detail.target.id === 'touched') {
    markTouched();
    return;
  }
  if (window.Sortable) sortable();
  const dialog = document.querySelector('dialog[open]');
  const problem = board()?.dataset.problem;
  if (dialog && problem) {
    const slot = dialog.querySelector('.problem');
    slot.textContent = problem;
    slot.hidden = false;
  } else {
    dialog?.close();
  }
  if (focusAfter) document.getElementById(focusAfter)?.focus();
  focusAfter = null;
  if (focusLine) document.querySelector('.shared-handle')?.focus();
  focusLine = false;
});

if (window.Sortable) sortable();
else window.addEventListener('load', sortable);
