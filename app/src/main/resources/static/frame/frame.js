// What every page does: the anti-forgery token on htmx requests, shortcuts, and the ribbon's bracket.
const token = document.querySelector('input[name="_csrf"]');

document.addEventListener('htmx:configRequest', event => {
  if (token) event.detail.headers['X-CSRF-TOKEN'] = token.value;
});
document.addEventListener('htmx:responseError', event =>
  say(
    (event.detail.xhr.getResponseHeader('Content-Type') ?? '').startsWith('text/plain')
      ? event.detail.xhr.responseText
      : event.detail.xhr.status === 404
        ? 'That is no longer there. Load the page again.'
        : 'The server could not do that. Load the page and try again.',
  ),
);
document.addEventListener('htmx:sendError', () =>
  say('The server cannot be reached. What you typed is still here; try again in a moment.'),
);

function say(text) {
  const foot = document.getElementById('foot');
  if (!foot) return;
  const line = document.createElement('p');
  line.className = 'said';
  line.textContent = text;
  foot.replaceChildren(line);
}

const pages = {t: 'today', e: 'season', b: 'board', w: 'workouts', s: 'sessions', p: 'progress', h: 'thresholds'};

document.addEventListener('keydown', event => {
  if (event.target.closest('input, textarea, select, dialog') || event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === '?') document.getElementById('help')?.showModal();
  else if (event.key === 'u') document.getElementById('undo')?.click();
  else if (event.key === 'n') document.getElementById('add-session')?.click();
  else if (event.key === 'c' && event.target.closest('.slab')) return;
  else if (pages[event.key]) {
    const link = document.querySelector(`header nav a[href$="/${pages[event.key]}"]`);
    if (link) location.href = link.href;
  }
});

// The bracket moves by arrow keys or by dragging it over the columns.
function columns() {
  return [...document.querySelectorAll('#ribbon a.column')];
}

function shownColumn() {
  const x = Number(document.getElementById('bracket')?.getAttribute('aria-valuenow') ?? 0);
  return columns().findIndex(c => Number(c.dataset.x) + Number(c.dataset.w) > x);
}

function go(column) {
  if (column) location.href = column.getAttribute('href');
}

document.addEventListener('keydown', event => {
  if (!event.target.closest?.('#bracket')) return;
  if (event.key === 'ArrowLeft') go(columns()[shownColumn() - 1]);
  if (event.key === 'ArrowRight') go(columns()[shownColumn() + 1]);
});

let dragging = false;
document.addEventListener('pointerdown', event => {
  dragging = Boolean(event.target.closest?.('#bracket'));
});
document.addEventListener('pointerup', event => {
  if (!dragging) return;
  dragging = false;
  const svg = document.querySelector('#ribbon svg').getBoundingClientRect();
  const x = ((event.clientX - svg.left) / svg.width) * 1232;
  go(columns().find(c => x >= Number(c.dataset.x) && x <= Number(c.dataset.x) + Number(c.dataset.w) + 2));
});

// On a narrow screen the ribbon is wider than the page: it begins where the bracket stands.
const ribbon = document.getElementById('ribbon');
if (ribbon && ribbon.scrollWidth > ribbon.clientWidth) {
  const x =
    (Number(document.getElementById('bracket').getAttribute('aria-valuenow')) / 1232) *
    ribbon.querySelector('svg').clientWidth;
  ribbon.scrollLeft = x - ribbon.clientWidth / 2;
}
