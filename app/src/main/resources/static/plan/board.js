// Moves slabs by pointer and keyboard; the server decides and answers with the board as it then is.
const board = () => document.getElementById('board');
let focusAfter = null;

function send(path, values) {
  const b = board();
  htmx.ajax('POST', `/a/${b.dataset.athlete}/${path}`, {target: '#board', swap: 'outerHTML', values: {from: b.dataset.from, to: b.dataset.to, ...values}});
}

function otherDay(day, by) {
  const date = new Date(day + 'T12:00:00Z');
  date.setUTCDate(date.getUTCDate() + by);
  return date.toISOString().slice(0, 10);
}

function sortable() {
  document.querySelectorAll('.board .slabs').forEach(list => Sortable.create(list, {
    group: 'days', draggable: '.slab[data-movable=true]', forceFallback: true, fallbackTolerance: 4, delay: 120, delayOnTouchOnly: true, filter: 'details, input, button', preventOnFilter: false,
    ghostClass: 'ghost', animation: 0,
    onEnd: drag => {
      const id = drag.item.dataset.id;
      if (drag.to === drag.from) return;
      focusAfter = 'slab-' + id;
      const copying = drag.originalEvent && (drag.originalEvent.altKey || drag.originalEvent.ctrlKey);
      send(`sessions/${id}/${copying ? 'copy' : 'move'}`, {day: drag.to.dataset.day});
    },
  }));
}

document.addEventListener('keydown', event => {
  if (!event.target.classList?.contains('slab')) return;
  const {id, day, movable} = event.target.dataset;
  const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
  if (event.shiftKey && by && movable === 'true') {
    focusAfter = event.target.id;
    send(`sessions/${id}/move`, {day: otherDay(day, by)});
    event.preventDefault();
  } else if (by) {
    const all = [...document.querySelectorAll('.slab')];
    all[all.indexOf(event.target) + by]?.focus();
    event.preventDefault();
  } else if (event.key === 'c') {
    focusAfter = event.target.id;
    send(`sessions/${id}/copy`, {day: otherDay(day, 1)});
  } else if (event.key === 'Delete') {
    send(`sessions/${id}/remove`, {});
  } else if (event.key === 'Enter') {
    event.target.querySelector('a.title').click();
  }
});

// Forms in a slab's menu tell which days the page shows, so that the answer shows the same.
document.addEventListener('htmx:configRequest', event => {
  if (!board() || !event.detail.elt.closest?.('.slab')) return;
  event.detail.parameters.from = board().dataset.from;
  event.detail.parameters.to = board().dataset.to;
});

document.addEventListener('htmx:afterSwap', () => {
  if (window.Sortable) sortable();
  document.getElementById('add')?.close();
  if (focusAfter) document.getElementById(focusAfter)?.focus();
  focusAfter = null;
});

document.getElementById('add-session')?.addEventListener('click', () => document.getElementById('add').showModal());
document.getElementById('add-close')?.addEventListener('click', () => document.getElementById('add').close());
if (window.Sortable) sortable();
else window.addEventListener('load', sortable);
