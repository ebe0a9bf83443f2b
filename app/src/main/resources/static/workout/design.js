// The drawing as an editor. Where a drag ends is sent as an edit; the workout, its text and its figures are the
// server's answer.
const LEFT = 44,
  WIDTH = 710,
  FLOOR = 190,
  HEIGHT = 170;
const area = document.getElementById('text');
const form = document.getElementById('design');
const base = area.getAttribute('hx-post').replace(/\/forecast$/, '');

const figure = () => document.querySelector('.drawing.editable');
const steps = () => [...document.querySelectorAll('.drawn')];
let chosen = [];
const past = [],
  future = [];

function choose(paths) {
  chosen = paths;
  for (const step of steps()) step.classList.toggle('chosen', paths.includes(step.dataset.path));
  handles();
}

function one() {
  return chosen.length === 1 ? steps().find(step => step.dataset.path === chosen[0]) : null;
}

// Handles of the chosen step: its end, and the top, the two edges of a band or the two ends of a ramp.
function handles() {
  const group = document.getElementById('handles');
  if (!group) return;
  group.replaceChildren();
  const step = one();
  const caption = document.getElementById('chosen');
  caption.textContent =
    chosen.length > 1
      ? `${chosen.length} steps are chosen: Repeat wraps them.`
      : step
        ? step.querySelector('title').textContent
        : 'Choose a step to change it: drag its end or top, carry it elsewhere, or use the arrow keys.' +
          ' Shift-click chooses several.';
  if (!step) return;
  const d = Object.fromEntries(Object.entries(step.dataset).map(([k, v]) => [k, Number(v)]));
  const knob = (kind, x, y) => {
    const dot = document.createElementNS('http://www.w3.org/2000/svg', 'circle');
    for (const [name, value] of Object.entries({cx: x, cy: y, r: 6, class: 'knob', 'data-knob': kind}))
      dot.setAttribute(name, value);
    group.append(dot);
  };
  if (d.amount > 0) knob('length', d.to, (d.end + FLOOR) / 2);
  const middle = (d.from + d.to) / 2;
  if (step.dataset.kind === 'ramp') {
    knob('first', d.from, d.begin);
    knob('second', d.to, d.end);
  } else if (step.dataset.kind === 'band') {
    knob('first', middle, d.low);
    knob('second', middle, d.high);
  } else if (step.dataset.kind === 'single') knob('raise', middle, d.begin);
}

async function send(edit, values = {}) {
  const before = area.value;
  const focus = chosen[0];
  await htmx.ajax('POST', `${base}/edit`, {
    target: '#forecast',
    swap: 'outerHTML',
    values: {
      ...Object.fromEntries(new FormData(form)),
      axis: document.getElementById('axis')?.value ?? 'time',
      edit,
      path: focus,
      ...values,
    },
  });
  const answer = document.getElementById('forecast');
  if (!answer.dataset.refused && answer.dataset.text && answer.dataset.text !== before) {
    past.push(before);
    future.length = 0;
    area.value = answer.dataset.text;
  }
  restore(edit === 'move' ? moved(values.path ?? focus, values.amount) : focus);
}

function moved(path, places) {
  const parts = path.split('.').map(Number);
  parts.push(Math.max(0, parts.pop() + places));
  return parts.join('.');
}

function restore(path) {
  const step = steps().find(s => s.dataset.path === path) ?? steps().find(s => s.dataset.path.startsWith(`${path}.`));
  choose(step ? [step.dataset.path] : []);
  step?.focus({preventScroll: true});
}

function again(text) {
  area.value = text;
  htmx.trigger(area, 'again');
}

function undo() {
  if (!past.length) return;
  future.push(area.value);
  again(past.pop());
}

function redo() {
  if (!future.length) return;
  past.push(area.value);
  again(future.pop());
}

const tools = {
  undo,
  redo,
  duplicate: () => send('duplicate'),
  split: () => send('split'),
  delete: () => send('delete'),
  left: () => send('move', {amount: -1}),
  right: () => send('move', {amount: 1}),
  wrap: () => send('wrap', {other: chosen[chosen.length - 1], amount: 3}),
  unwrap: () => send('unwrap', {path: chosen[0].split('.').slice(0, -1).join('.') || chosen[0]}),
};

document.addEventListener('click', event => {
  const tool = event.target.closest?.('[data-tool]')?.dataset.tool;
  if (tool && (chosen.length || tool === 'undo' || tool === 'redo')) tools[tool]();
  const step = event.target.closest?.('.drawn');
  if (step)
    choose(
      event.shiftKey && !chosen.includes(step.dataset.path) ? [...chosen, step.dataset.path] : [step.dataset.path],
    );
});
document.addEventListener('focusin', event => {
  const step = event.target.closest?.('.drawn');
  if (step && !chosen.includes(step.dataset.path)) choose([step.dataset.path]);
});

// Dragging moves only what is seen of one step, so that it stays smooth with hundreds.
let drag = null;
const svgPoint = event => {
  const box = figure().querySelector('svg').getBoundingClientRect();
  return {x: ((event.clientX - box.left) / box.width) * 760, y: ((event.clientY - box.top) / box.height) * 216};
};
const percentAt = y => ((FLOOR - y) / HEIGHT) * Number(figure().dataset.top) * 100;
const round = (amount, unit) => {
  const to =
    unit === 'm' ? (amount >= 2000 ? 100 : 10) : amount >= 600 ? 30 : amount >= 120 ? 15 : amount >= 30 ? 5 : 1;
  return Math.max(1, Math.round(amount / to) * to);
};

// A step is carried by its body to another place; past the end of its repeat the whole repeat is carried.
let carried = null;
const CARRY_PIXELS = 12;

function passed(from, to) {
  const a = from.split('.'),
    b = to.split('.');
  let level = 0;
  while (level < a.length - 1 && level < b.length - 1 && a[level] === b[level]) level++;
  return {path: a.slice(0, level + 1).join('.'), amount: Number(b[level]) - Number(a[level])};
}

document.addEventListener('pointerdown', event => {
  const body = event.target.closest?.('.drawn');
  if (body && !event.shiftKey && event.button === 0) carried = {path: body.dataset.path, x: event.clientX, step: body};
});

document.addEventListener('pointerup', event => {
  if (!carried) return;
  const {path, x, step} = carried;
  carried = null;
  step.classList.remove('carried');
  if (Math.abs(event.clientX - x) < CARRY_PIXELS) return;
  const under = document.elementFromPoint(event.clientX, event.clientY)?.closest('.drawn') ?? nearest(event.clientX);
  const move = under && passed(path, under.dataset.path);
  if (move && move.amount) {
    choose([move.path]);
    send('move', {path: move.path, amount: move.amount});
  }
});

function nearest(x) {
  return steps().find(s => {
    const box = s.getBoundingClientRect();
    return x >= box.left && x <= box.right;
  });
}

document.addEventListener('pointermove', event => {
  if (carried && Math.abs(event.clientX - carried.x) >= CARRY_PIXELS) carried.step.classList.add('carried');
});

document.addEventListener('pointerdown', event => {
  const knob = event.target.closest?.('.knob');
  const step = one();
  if (!knob || !step) return;
  event.preventDefault();
  drag = {
    kind: knob.dataset.knob,
    knob,
    step,
    start: svgPoint(event),
    polygon: step.querySelector('polygon'),
    points: step.querySelector('polygon').getAttribute('points'),
  };
});

document.addEventListener('pointermove', event => {
  if (!drag) return;
  const now = svgPoint(event);
  const d = drag.step.dataset;
  const caption = document.getElementById('chosen');
  let from = Number(d.from),
    to = Number(d.to),
    begin = Number(d.begin),
    end = Number(d.end);
  if (drag.kind === 'length') {
    to = Math.max(from + 2, now.x);
    drag.amount = round((Number(d.amount) * (to - from)) / (Number(d.to) - from), d.unit);
    caption.textContent =
      d.unit === 'm'
        ? `${drag.amount} m`
        : `${Math.floor(drag.amount / 60)}:${String(drag.amount % 60).padStart(2, '0')}`;
    drag.knob.setAttribute('cx', to);
  } else {
    drag.amount = Math.round(percentAt(now.y) - percentAt(drag.start.y));
    const dy = now.y - drag.start.y;
    if (drag.kind === 'first' && d.kind === 'ramp') begin += dy;
    else if (drag.kind === 'second' && d.kind === 'ramp') end += dy;
    else {
      const share = d.kind === 'band' ? 0.5 : 1;
      begin += dy * share;
      end += dy * share;
    }
    const sign = drag.amount > 0 ? '+' : drag.amount < 0 ? '\u2212' : '';
    caption.textContent = `${sign}${Math.abs(drag.amount)} % of threshold`;
    drag.knob.setAttribute('cy', now.y);
  }
  drag.polygon.setAttribute('points', `${from},${FLOOR} ${from},${begin} ${to},${end} ${to},${FLOOR}`);
});

document.addEventListener('pointerup', () => {
  if (!drag) return;
  const {kind, amount, polygon, points} = drag;
  drag = null;
  if (amount === undefined || (amount === 0 && kind !== 'length')) {
    polygon.setAttribute('points', points);
    handles();
  } else send(kind, {amount});
});

document.addEventListener(
  'keydown',
  event => {
    const inDrawing = event.target.closest?.('.drawing.editable, .drawing-tools');
    if ((event.ctrlKey || event.metaKey) && inDrawing && ['z', 'y'].includes(event.key)) {
      event.preventDefault();
      (event.key === 'z' ? undo : redo)();
      return;
    }
    const step = event.target.closest?.('.drawn');
    if (!step || event.ctrlKey || event.metaKey || event.altKey) return;
    const d = step.dataset;
    const amount = Number(d.amount);
    const longer = way =>
      send('length', {
        amount: round(
          amount + way * (d.unit === 'm' ? (amount >= 2000 ? 100 : 50) : amount >= 600 ? 30 : amount >= 120 ? 15 : 5),
          d.unit,
        ),
      });
    const keys = {
      ArrowRight: () => (event.shiftKey ? tools.right() : amount && longer(1)),
      ArrowLeft: () => (event.shiftKey ? tools.left() : amount && longer(-1)),
      ArrowUp: () => send('raise', {amount: 1}),
      ArrowDown: () => send('raise', {amount: -1}),
      d: tools.duplicate,
      s: tools.split,
      r: tools.wrap,
      e: tools.unwrap,
      Delete: tools.delete,
      Backspace: tools.delete,
      ' ': () =>
        choose(
          chosen.includes(d.path) && chosen.length > 1
            ? chosen.filter(p => p !== d.path)
            : [...new Set([...chosen, d.path])],
        ),
    };
    if (!keys[event.key]) return;
    event.preventDefault();
    event.stopPropagation();
    keys[event.key]();
  },
  true,
);

document.addEventListener('htmx:afterSettle', event => {
  if (event.target.id === 'forecast') handles();
});
document.addEventListener('change', event => {
  if (event.target.id === 'axis') htmx.trigger(area, 'again');
});

// What can come next at the caret: units after a number, targets after a length, postures and cues after a target.
const complete = document.getElementById('complete');
const zones = Number(area.dataset.zones || 7);
const CUES = ['"hold back"', '"hands light"', '"eat before this"', '"relax the shoulders"'];

function next(before) {
  const part = before.split(/[,(\n]/).pop();
  const cues = [...new Set([...(area.value.match(/"[^"]+"/g) ?? []), ...CUES])].slice(0, 5);
  if (/^\s*$/.test(part)) return ['10min ', '30s ', '1km ', 'lap ', '3 x ('];
  if (/^\s*([\w -]+:)?\s*\d+$/.test(part)) return ['min ', 's ', 'h', 'm ', 'km ', ' x ('];
  if (/\s\d+([-–>]\d+)?$/.test(part)) return ['%', 'W', 'bpm', 'rpm', '%hr', '%max'];
  if (/^\s*([\w -]+:)?\s*([\d.]+(s|min|h|m|km|mi)|lap|until hr<\d+|until reserve[<>]\d+%)+\s$/.test(part))
    return [...Array.from({length: zones}, (_, i) => `z${i + 1}`), 'open', 'rpe '];
  if (/(%\w*|W|bpm|\/km|z\d|open|rpe \d+)\s$/.test(part)) return ['seated', 'standing', '85-95rpm', ...cues];
  return [];
}

function offer() {
  complete.replaceChildren(
    ...next(area.value.slice(0, area.selectionStart)).map(text => {
      const button = document.createElement('button');
      button.type = 'button';
      button.textContent = text.trim();
      button.addEventListener('click', () => {
        area.setRangeText(text, area.selectionStart, area.selectionEnd, 'end');
        area.focus();
        area.dispatchEvent(new Event('input', {bubbles: true}));
      });
      return button;
    }),
  );
}
area.addEventListener('input', offer);
area.addEventListener('click', offer);
area.addEventListener('keyup', event => {
  if (event.key.startsWith('Arrow')) offer();
});
area.addEventListener('keydown', event => {
  if (event.key === ' ' && event.ctrlKey) {
    event.preventDefault();
    complete.querySelector('button')?.focus();
  }
});
