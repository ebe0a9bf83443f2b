// Stacked lanes on one axis, time or distance. Drawing, looking and selecting happen here; every figure comes from
// the server.
import {Lane, decode, clock, tickStep} from './lane.js';
import {Strip} from './strip.js';

const holder = document.getElementById('lanes');
const wait = document.getElementById('bench-wait');
if (wait) setTimeout(() => location.reload(), 1200);

const SHOWN_FIRST = ['power', 'heartRate', 'cadence', 'speed', 'altitude', 'reserve'];
const LABEL = 96,
  RIGHT = 46,
  LEAST_SECONDS = 4;
const state = {from: 0, to: 1, chosen: null, at: null, view: null};
let data = null,
  lanes = [],
  strip = null,
  frame = 0,
  save = 0,
  asked = 0;

const plotWidth = () => Math.max(100, holder.clientWidth - LABEL - RIGHT);
const shownLanes = () =>
  state.view.order.map(key => lanes.find(l => l.key === key)).filter(l => l && !state.view.hidden.includes(l.key));

// The seconds at which each pixel begins; all lanes share them. By distance a stop takes no room.
function columns() {
  const width = plotWidth(),
    edges = new Int32Array(width + 1);
  if (state.view.axis === 'distance' && data.metres) {
    const a = data.metres[state.from],
      b = data.metres[Math.min(data.seconds - 1, state.to - 1)];
    let i = state.from;
    for (let p = 0; p <= width; p++) {
      const wanted = a + ((b - a) * p) / width;
      while (i < state.to && data.metres[i] < wanted) i++;
      edges[p] = i;
    }
    edges[width] = state.to;
  } else {
    for (let p = 0; p <= width; p++) edges[p] = Math.round(state.from + ((state.to - state.from) * p) / width);
  }
  return edges;
}

let edges = null;
function xOf(second) {
  const width = plotWidth();
  if (state.view.axis !== 'distance' || !data.metres) return ((second - state.from) / (state.to - state.from)) * width;
  const a = data.metres[state.from],
    b = data.metres[Math.min(data.seconds - 1, state.to - 1)];
  return ((data.metres[Math.max(0, Math.min(data.seconds - 1, Math.round(second)))] - a) / Math.max(1, b - a)) * width;
}

function secondAt(x) {
  const p = Math.max(0, Math.min(plotWidth(), x));
  if (state.view.axis !== 'distance' || !data.metres)
    return Math.round(state.from + ((state.to - state.from) * p) / plotWidth());
  return edges[Math.round(p)];
}

function draw() {
  frame = 0;
  const began = performance.now();
  edges = columns();
  const shown = shownLanes();
  for (const lane of shown)
    lane.draw(
      edges,
      state,
      data.marks,
      lanes.find(l => l.key === state.view.overlays[lane.key]),
      xOf,
    );
  strip.draw(data.marks, state, xOf, plotWidth());
  axis();
  place();
  holder.dataset.frame = (performance.now() - began).toFixed(1);
}

const redraw = () => {
  frame ||= requestAnimationFrame(draw);
};

const distance = (metres, digits) =>
  `${(metres / data.lengthMetres).toFixed(digits).replace('.', data.decimal)} ${data.length}`;

function axis() {
  const svg = document.getElementById('lane-axis'),
    width = plotWidth();
  const byMetres = state.view.axis === 'distance' && data.metres;
  const a = byMetres ? data.metres[state.from] : state.from,
    b = byMetres ? data.metres[Math.min(data.seconds - 1, state.to - 1)] : state.to;
  const unit = data.lengthMetres;
  const step = byMetres
    ? unit * tickStep((b - a) / unit / 7, [0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50])
    : tickStep((b - a) / 8, [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 900, 1800, 3600, 7200]);
  let marks = '';
  for (let v = Math.ceil(a / step) * step; v <= b; v += step) {
    const x = LABEL + ((v - a) / Math.max(1, b - a)) * width;
    const label = byMetres ? distance(v, step < unit ? 2 : 0) : clock(v);
    marks += `<line x1="${x}" x2="${x}" y1="0" y2="4"/><text x="${x}" y="17" text-anchor="middle">${label}</text>`;
  }
  svg.innerHTML = marks;
}

// The selection and the crosshair lie over all lanes, so that moving them draws nothing anew.
function place() {
  const box = document.getElementById('lane-selection'),
    cross = document.getElementById('lane-cross');
  box.hidden = !state.chosen;
  if (state.chosen) {
    const left = Math.max(0, Math.min(plotWidth(), xOf(state.chosen[0]))),
      right = Math.max(0, Math.min(plotWidth(), xOf(state.chosen[1])));
    box.style.left = `${LABEL + left}px`;
    box.style.width = `${Math.max(1, right - left)}px`;
  }
  cross.hidden = state.at === null || state.at < state.from || state.at > state.to;
  if (!cross.hidden) cross.style.left = `${LABEL + xOf(state.at)}px`;
  const clockAt = document.getElementById('lane-at');
  clockAt.textContent =
    state.at === null
      ? ''
      : clock(state.at) +
        (data.metres ? ` · ${distance(data.metres[Math.min(data.seconds - 1, state.at)], 2)}` : '');
  for (const lane of shownLanes()) lane.readout(state.at);
  route();
}

function route() {
  const way = document.getElementById('route-chosen'),
    dot = document.getElementById('route-at');
  if (!way) return;
  const inside = state.chosen ? data.route.filter(p => p[0] >= state.chosen[0] && p[0] <= state.chosen[1]) : [];
  way.setAttribute('d', inside.length ? 'M' + inside.map(p => `${p[1]} ${p[2]}`).join('L') : '');
  const near = state.at === null ? null : data.route.find(p => p[0] >= state.at);
  dot.setAttribute('visibility', near ? 'visible' : 'hidden');
  if (near) {
    dot.setAttribute('cx', near[1]);
    dot.setAttribute('cy', near[2]);
  }
}

function choose(from, to, quiet) {
  const a = Math.max(0, Math.min(from, to)),
    b = Math.min(data.seconds, Math.max(from, to));
  if (b - a < 1) return;
  state.chosen = [a, b];
  place();
  document.getElementById('range-from').value = clock(a);
  document.getElementById('range-to').value = clock(b);
  document.querySelectorAll('[data-range=from]').forEach(i => {
    i.value = a;
  });
  document.querySelectorAll('[data-range=to]').forEach(i => {
    i.value = b;
  });
  document.querySelectorAll('[data-needs-range]').forEach(e => {
    e.disabled = false;
  });
  if (quiet) return;
  history.replaceState(null, '', `?from=${a}&to=${b}`);
  clearTimeout(asked);
  asked = setTimeout(
    () => htmx.ajax('GET', `${holder.dataset.base}/range?from=${a}&to=${b}`, {target: '#range', swap: 'outerHTML'}),
    60,
  );
}

function look(from, to) {
  const wide = Math.min(data.seconds, Math.max(LEAST_SECONDS, Math.round(to - from)));
  state.from = Math.max(0, Math.min(data.seconds - wide, Math.round(from)));
  state.to = state.from + wide;
  redraw();
}

function zoom(factor, around) {
  const middle = around ?? state.at ?? (state.from + state.to) / 2;
  look(middle - (middle - state.from) * factor, middle + (state.to - middle) * factor);
}

function keep() {
  clearTimeout(save);
  save = setTimeout(
    () =>
      htmx.ajax('POST', `${holder.dataset.base}/lanes`, {swap: 'none', values: {settings: JSON.stringify(state.view)}}),
    500,
  );
}

function build() {
  const rows = document.getElementById('lane-rows');
  rows.replaceChildren(...shownLanes().map(lane => lane.element(LABEL, RIGHT, state.view.heights[lane.key])));
  menu();
  draw();
}

function menu() {
  const list = document.getElementById('lane-menu');
  const all = state.view.order.map(key => lanes.find(l => l.key === key)).filter(Boolean);
  document.getElementById('lane-count').textContent = `${shownLanes().length} of ${all.length}`;
  list.replaceChildren(
    ...all.map((lane, i) => {
      const item = document.createElement('li');
      item.innerHTML = [
        '<label class="check"><input type="checkbox"> <span></span></label>',
        '<button type="button" class="quiet" data-by="-1">up</button>',
        '<button type="button" class="quiet" data-by="1">down</button>',
        '<label class="soft">with <select><option value="">nothing</option></select></label>',
      ].join('');
      item.querySelector('input').checked = !state.view.hidden.includes(lane.key);
      item.querySelector('[data-by="-1"]').disabled = i === 0;
      item.querySelector('[data-by="1"]').disabled = i === all.length - 1;
      item.querySelector('span').textContent = lane.name;
      for (const other of all.filter(o => o !== lane))
        item
          .querySelector('select')
          // names come from files: never as markup
          .add(new Option(other.name, other.key, false, state.view.overlays[lane.key] === other.key));
      item.querySelectorAll('button').forEach(b => b.setAttribute('aria-label', `${lane.name} ${b.textContent}`));
      item.querySelector('select').setAttribute('aria-label', `Draw over ${lane.name}`);
      item.addEventListener('change', event => {
        if (event.target.type === 'checkbox')
          state.view.hidden = event.target.checked
            ? state.view.hidden.filter(k => k !== lane.key)
            : [...state.view.hidden, lane.key];
        else if (event.target.value) state.view.overlays[lane.key] = event.target.value;
        else delete state.view.overlays[lane.key];
        keep();
        build();
      });
      item.addEventListener('click', event => {
        const by = Number(event.target.dataset.by);
        if (!by) return;
        const order = state.view.order,
          at = order.indexOf(lane.key);
        [order[at], order[at + by]] = [order[at + by], order[at]];
        keep();
        build();
        document.getElementById('lane-menu').children[at + by]?.querySelector(`[data-by="${by}"]`)?.focus();
      });
      return item;
    }),
  );
}

function pointer() {
  const surface = document.getElementById('lane-surface');
  const inside = event => event.clientX - surface.getBoundingClientRect().left - LABEL;
  let drag = null;
  surface.addEventListener('pointerdown', event => {
    if (event.button !== 0 || event.target.closest('.lane-strip, button, .lane-grip') || inside(event) < 0) return;
    drag = {
      x: inside(event),
      second: secondAt(inside(event)),
      pan: event.altKey,
      from: state.from,
      to: state.to,
      moved: false,
    };
    surface.setPointerCapture(event.pointerId);
  });
  surface.addEventListener('pointermove', event => {
    const x = inside(event);
    state.at = x < 0 || x > plotWidth() ? null : Math.min(data.seconds - 1, secondAt(x));
    if (drag && Math.abs(x - drag.x) > 3) drag.moved = true;
    if (drag?.moved && drag.pan) {
      const by = ((drag.x - x) / plotWidth()) * (drag.to - drag.from);
      look(drag.from + by, drag.to + by);
    } else if (drag?.moved) {
      choose(drag.second, secondAt(x), true);
    } else {
      place();
    }
  });
  surface.addEventListener('pointerup', event => {
    if (drag?.moved && !drag.pan) choose(drag.second, secondAt(inside(event)));
    drag = null;
  });
  surface.addEventListener('pointerleave', () => {
    if (!drag) {
      state.at = null;
      place();
    }
  });
  surface.addEventListener(
    'wheel',
    event => {
      if (!event.ctrlKey && !event.shiftKey) return;
      event.preventDefault();
      const delta = event.deltaY || event.deltaX;
      zoom(delta < 0 ? 0.75 : 1.33, secondAt(inside(event)));
    },
    {passive: false},
  );
  surface.addEventListener('dblclick', () => look(0, data.seconds));
}

const KEYS = {
  '+': () => zoom(0.6),
  '=': () => zoom(0.6),
  '-': () => zoom(1.7),
  Home: () => look(0, data.seconds),
  PageUp: () => look(state.from - (state.to - state.from) * 0.8, state.to - (state.to - state.from) * 0.8),
  PageDown: () => look(state.from + (state.to - state.from) * 0.8, state.to + (state.to - state.from) * 0.8),
  ArrowLeft: event => step(event.shiftKey ? -10 : -1),
  ArrowRight: event => step(event.shiftKey ? 10 : 1),
  '[': () =>
    choose(state.at ?? state.from, state.chosen && state.chosen[1] > (state.at ?? 0) ? state.chosen[1] : data.seconds),
  ']': () =>
    choose(state.chosen && state.chosen[0] < (state.at ?? data.seconds) ? state.chosen[0] : 0, state.at ?? state.to),
};

function step(pixels) {
  const seconds = Math.max(1, Math.round((state.to - state.from) / plotWidth())) * pixels;
  state.at = Math.max(0, Math.min(data.seconds - 1, (state.at ?? Math.round((state.from + state.to) / 2)) + seconds));
  if (state.at < state.from || state.at > state.to)
    look(state.at - (state.to - state.from) / 2, state.at + (state.to - state.from) / 2);
  place();
}

function typed(text) {
  const parts = text.trim().split(':').map(Number);
  return text.trim() === '' || parts.some(Number.isNaN) ? NaN : parts.reduce((sum, part) => sum * 60 + part, 0);
}

const QUICK = {
  until: () => choose(0, state.chosen ? state.chosen[0] : (state.at ?? data.seconds)),
  onward: () => choose(state.chosen ? state.chosen[0] : (state.at ?? 0), data.seconds),
  last20: () =>
    choose(
      Math.max(0, (state.chosen ? state.chosen[1] : data.seconds) - 1200),
      state.chosen ? state.chosen[1] : data.seconds,
    ),
  all: () => choose(0, data.seconds),
  into: () =>
    state.chosen &&
    look(
      state.chosen[0] - (state.chosen[1] - state.chosen[0]) * 0.1,
      state.chosen[1] + (state.chosen[1] - state.chosen[0]) * 0.1,
    ),
};

async function marksAgain() {
  const answer = await fetch(`${holder.dataset.base}/marks`);
  if (!answer.ok) return;
  data.marks = await answer.json();
  draw();
}

function listen() {
  document.getElementById('zoom-in').addEventListener('click', () => zoom(0.6));
  document.getElementById('zoom-out').addEventListener('click', () => zoom(1.7));
  document.getElementById('zoom-all').addEventListener('click', () => look(0, data.seconds));
  document.getElementById('lane-smoothing').addEventListener('change', event => {
    state.view.smoothing = Number(event.target.value);
    lanes.forEach(lane => lane.smooth(state.view.smoothing));
    keep();
    draw();
  });
  document.getElementById('lane-by').addEventListener('change', event => {
    state.view.axis = event.target.value;
    keep();
    draw();
  });
  document.getElementById('range-form').addEventListener('submit', event => {
    event.preventDefault();
    const from = typed(document.getElementById('range-from').value),
      to = typed(document.getElementById('range-to').value);
    if (to > from) choose(from, to);
  });
  holder.addEventListener('keydown', event => {
    if (event.target !== holder || event.ctrlKey || event.metaKey || event.altKey || !KEYS[event.key]) return;
    event.preventDefault();
    event.stopPropagation();
    KEYS[event.key](event);
  });
  document.addEventListener('click', event => {
    // the nearest of them is meant
    const line = event.target.closest('.step-line, form, details, a, button, input, select');
    if (line?.classList.contains('step-line')) choose(Number(line.dataset.from), Number(line.dataset.to));
    const quick = event.target.closest('[data-quick]');
    if (quick) QUICK[quick.dataset.quick]();
  });
  document.addEventListener('keydown', event => {
    if (event.key === 'Enter' && event.target.classList?.contains('step-line') && event.target.tagName !== 'BUTTON')
      choose(Number(event.target.dataset.from), Number(event.target.dataset.to));
  });
  document.addEventListener('htmx:afterSwap', event => {
    if (event.detail.target?.id === 'stretches') marksAgain();
  });
  addEventListener('resize', () => data && draw());
  matchMedia('(prefers-color-scheme: dark)').addEventListener('change', draw);
  pointer();
}

async function start() {
  const answer = await fetch(holder.dataset.base + '/channels');
  if (!answer.ok) {
    document.getElementById('lane-rows').textContent = 'The samples could not be loaded. Load the page again.';
    return;
  }
  data = await answer.json();
  data.metres = data.metres ? decode(data.metres, 1, true) : null;
  if (!data.metres) document.getElementById('lane-by').querySelector('[value=distance]').disabled = true;
  lanes = data.lanes.map(raw => new Lane(raw, data));
  const keys = lanes.map(l => l.key),
    kept = data.view;
  state.view = kept ?? {
    order: keys,
    hidden: keys.filter(k => !SHOWN_FIRST.includes(k)),
    heights: {},
    smoothing: 1,
    axis: 'time',
    overlays: {},
  };
  state.view.order = [
    ...state.view.order.filter(k => keys.includes(k)),
    ...keys.filter(k => !state.view.order.includes(k)),
  ];
  if (kept) state.view.hidden.push(...keys.filter(k => !kept.order.includes(k) && !SHOWN_FIRST.includes(k)));
  if (!data.metres) state.view.axis = 'time';
  state.to = data.seconds;
  document.getElementById('lane-smoothing').value = String(state.view.smoothing);
  document.getElementById('lane-by').value = state.view.axis;
  lanes.forEach(lane => {
    lane.smooth(state.view.smoothing);
    lane.resized = (key, height) => {
      state.view.heights[key] = height;
      keep();
      redraw();
    };
  });
  strip = new Strip(
    document.getElementById('lane-strip'),
    LABEL,
    (path, values) =>
      htmx.ajax('POST', `${holder.dataset.base}/stretches/${path}`, {target: '#stretches', swap: 'outerHTML', values}),
    choose,
  );
  const way = document.getElementById('route-way');
  if (way) way.setAttribute('d', 'M' + data.route.map(p => `${p[1]} ${p[2]}`).join('L'));
  listen();
  build();
  const query = new URLSearchParams(location.search);
  const cut = query.get('of') === 'original' ? data.trimmed : 0; // a kept place is in seconds of the original
  if (query.has('from') && query.has('to')) choose(Number(query.get('from')) - cut, Number(query.get('to')) - cut);
  holder.dataset.readyAfter = Math.round(performance.now());
  holder.dataset.ready = '1';
}

if (holder) start();
