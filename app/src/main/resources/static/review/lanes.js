// Stacked lanes on one axis of time: all samples, targets as bands, one selection for all. Figures come from the server.
import uPlot from '/webjars/uplot/1.6.30/dist/uPlot.esm.js';

const holder = document.getElementById('lanes');
const wait = document.getElementById('bench-wait');
if (wait) setTimeout(() => location.reload(), 1200);

const css = name => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const clock = s => {
  const t = Math.round(s);
  const two = n => String(n).padStart(2, '0');
  return t >= 3600 ? `${Math.floor(t / 3600)}:${two(Math.floor(t / 60) % 60)}:${two(t % 60)}` : `${Math.floor(t / 60)}:${two(t % 60)}`;
};
const pace = v => v > 0.5 ? clock(1000 / v) : '';

const kinds = {
  power: {name: 'Power', unit: 'W', colour: '--power', height: 150, band: 'power'},
  heartRate: {name: 'Heart rate', unit: 'beats/min', colour: '--heart', height: 84, band: 'heart_rate'},
  cadence: {name: 'Cadence', unit: 'per min', colour: '--cadence', height: 66},
  speed: {name: 'Speed', unit: 'km/h', colour: '--speed', height: 66, band: 'pace'},
  altitude: {name: 'Altitude', unit: 'm', colour: '--altitude', height: 56, fill: true},
  reserve: {name: 'Reserve', unit: 'kJ', colour: '--reserve', height: 60},
};

let plots = [];
let data = null;

function lane(key) {
  const kind = {...kinds[key]};
  if (key === 'speed' && data.sport === 'run') Object.assign(kind, {name: 'Pace', unit: 'min/km', height: 130, pace: true});
  return kind;
}

function values(key, raw) {
  if (key === 'speed' && data.sport !== 'run') return raw.map(v => v === null ? null : v * 3.6);
  if (key === 'reserve') return raw.map(v => v === null ? null : v / 1000);
  return raw;
}

// Targets as bands behind the lane; a ramp's band tilts.
function drawBands(kind, key) {
  return u => {
    const c = u.ctx;
    c.save();
    c.beginPath();
    c.rect(u.bbox.left, u.bbox.top, u.bbox.width, u.bbox.height);
    c.clip();
    const factor = key === 'speed' && data.sport !== 'run' ? 3.6 : 1;
    for (const [basis, from, to, low0, high0, low1, high1] of data.bands) {
      const x0 = u.valToPos(from, 'x', true), x1 = u.valToPos(to, 'x', true);
      c.fillStyle = css('--step-ground');
      if (data.bands.length > 1 && high0 >= strongest(basis) * 0.85) c.fillRect(x0, u.bbox.top, x1 - x0, u.bbox.height);
      if (basis !== kind.band) continue;
      c.fillStyle = css('--band');
      c.beginPath();
      c.moveTo(x0, u.valToPos(low0 * factor, 'y', true));
      c.lineTo(x1, u.valToPos(low1 * factor, 'y', true));
      c.lineTo(x1, u.valToPos(high1 * factor, 'y', true));
      c.lineTo(x0, u.valToPos(high0 * factor, 'y', true));
      c.fill();
    }
    c.restore();
  };
}

function strongest(basis) {
  return Math.max(...data.bands.filter(b => b[0] === basis).map(b => b[4]));
}

function axisRange(key, kind) {
  return (u, min, max) => {
    if (min === null) return [0, 1];
    if (kind.pace) return [Math.max(min * 0.97, max * 0.45), max * 1.03];      // a stop to tie a lace must not flatten the run
    if (key === 'power') return [0, max * 1.05];
    const pad = Math.max(1, (max - min) * 0.08);
    return [key === 'reserve' ? Math.min(0, min) : Math.max(0, min - pad), max + pad];
  };
}

function options(key, width, last) {
  const kind = lane(key);
  return {
    width, height: kind.height + (last ? 24 : 0), padding: [6, 4, last ? 0 : 4, 14],
    legend: {show: false},
    cursor: {sync: {key: 'lanes'}, drag: {x: true, y: false, setScale: false}, y: false, points: {size: 5}},
    scales: {x: {time: false}, y: {range: axisRange(key, kind)}},
    axes: [
      {show: last, stroke: css('--ink2'), grid: {show: false}, ticks: {stroke: css('--rule')}, font: '12px "Source Sans 3"', values: (u, ticks) => ticks.map(clock), incrs: [1, 5, 15, 30, 60, 120, 300, 600, 900, 1800, 3600]},
      {side: 1, size: 46, stroke: css('--ink2'), grid: {stroke: css('--rule'), width: 1}, ticks: {show: false}, font: '12px "Source Sans 3"', space: 26, values: (u, ticks) => ticks.map(t => kind.pace ? pace(t) : t)},
    ],
    series: [{}, {stroke: css(kind.colour), width: 1.2, spanGaps: false, points: {show: false}, fill: kind.fill ? css(kind.colour) : undefined}],
    hooks: {drawClear: [drawBands(kind, key)], setSelect: [u => selected(u)]},
  };
}

let sharing = false;
let chosen = null;
function selected(u) {
  if (sharing || u.select.width < 3) return;
  const from = Math.round(u.posToVal(u.select.left, 'x'));
  const to = Math.round(u.posToVal(u.select.left + u.select.width, 'x'));
  choose(from, to);
}

// The selection in every lane, also after a zoom or a redraw.
function mark() {
  if (!chosen) return;
  sharing = true;
  for (const plot of plots) {
    const left = plot.valToPos(chosen[0], 'x');
    plot.setSelect({left, top: 0, width: plot.valToPos(chosen[1], 'x') - left, height: plot.over.clientHeight}, false);
  }
  sharing = false;
}

function choose(from, to) {
  chosen = [from, to];
  mark();
  document.getElementById('range-from').value = clock(from);
  document.getElementById('range-to').value = clock(to);
  history.replaceState(null, '', `?from=${from}&to=${to}`);
  htmx.ajax('GET', `${holder.dataset.base}/range?from=${from}&to=${to}`, {target: '#range', swap: 'outerHTML'});
}

function zoomTo(from, to) {
  const min = Math.max(0, from), max = Math.min(data.seconds - 1, to);
  if (max - min < 3) return;
  for (const plot of plots) plot.setScale('x', {min, max});
  queueMicrotask(mark);
}

function zoomBy(factor, around) {
  const {min, max} = plots[0].scales.x;
  const middle = around ?? (min + max) / 2;
  zoomTo(middle - (middle - min) * factor, middle + (max - middle) * factor);
}

function seconds(text) {
  const parts = text.trim().split(':').map(Number);
  return parts.some(Number.isNaN) ? NaN : parts.reduce((sum, part) => sum * 60 + part, 0);
}

function draw() {
  plots.forEach(plot => plot.destroy());
  holder.replaceChildren();
  const keys = Object.keys(kinds).filter(key => data.channels[key]);
  const time = Array.from({length: data.seconds}, (_, i) => i);
  plots = keys.map((key, i) => {
    const kind = lane(key);
    const row = document.createElement('div');
    row.className = 'lane';
    const label = document.createElement('p');
    label.innerHTML = '<b></b><span></span>';
    label.firstChild.textContent = kind.name;
    label.firstChild.className = 'q-' + key;
    label.lastChild.textContent = kind.unit;
    const place = document.createElement('div');
    row.append(label, place);
    holder.append(row);
    const plot = new uPlot(options(key, holder.clientWidth - label.offsetWidth, i === keys.length - 1), [time, values(key, data.channels[key])], place);
    plot.over.addEventListener('wheel', event => {
      if (!event.ctrlKey && !event.shiftKey) return;
      event.preventDefault();
      zoomBy(event.deltaY < 0 ? 0.7 : 1.4, plot.posToVal(event.offsetX, 'x'));
    }, {passive: false});
    plot.over.addEventListener('dblclick', () => zoomTo(0, data.seconds - 1));
    return plot;
  });
  queueMicrotask(mark);
  holder.dataset.ready = '1';
}

async function start() {
  const answer = await fetch(holder.dataset.base + '/channels');
  if (!answer.ok) {
    holder.textContent = 'The samples could not be loaded. Load the page again.';
    return;
  }
  data = await answer.json();
  draw();
  const asked = new URLSearchParams(location.search);
  if (asked.has('from') && asked.has('to')) choose(Number(asked.get('from')), Number(asked.get('to')));
}

if (holder) {
  start();
  document.fonts.ready.then(() => data && draw());
  addEventListener('resize', () => data && draw());
  document.getElementById('zoom-in').addEventListener('click', () => zoomBy(0.6));
  document.getElementById('zoom-out').addEventListener('click', () => zoomBy(1.7));
  document.getElementById('range-form').addEventListener('submit', event => {
    event.preventDefault();
    const from = seconds(document.getElementById('range-from').value), to = seconds(document.getElementById('range-to').value);
    if (to > from) choose(from, Math.min(to, data.seconds));
  });
  holder.addEventListener('keydown', event => {
    if (event.key === '+') zoomBy(0.6);
    if (event.key === '-') zoomBy(1.7);
  });
  document.querySelectorAll('.step-line').forEach(line => {
    const show = () => choose(Number(line.dataset.from), Number(line.dataset.to));
    line.addEventListener('click', show);
    line.addEventListener('keydown', event => { if (event.key === 'Enter') show(); });
  });
}
