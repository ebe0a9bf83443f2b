// One quantity over the axis. Values are drawn as the lowest and highest of each pixel, or as a line where a pixel is
// less than a second.
const css = name => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
export const clock = s => {
  const t = Math.round(s),
    two = n => String(n).padStart(2, '0');
  return t >= 3600
    ? `${Math.floor(t / 3600)}:${two(Math.floor(t / 60) % 60)}:${two(t % 60)}`
    : `${Math.floor(t / 60)}:${two(t % 60)}`;
};
export const tickStep = (least, steps) => steps.find(s => s >= least) ?? steps[steps.length - 1];

// From differences to values; a gap is NaN, or the last value where a quantity only grows.
export function decode(deltas, scale, growing) {
  const values = new Float32Array(deltas.length);
  let now = 0;
  for (let i = 0; i < deltas.length; i++) {
    if (deltas[i] === null) {
      values[i] = growing ? now / scale : NaN;
      continue;
    }
    now += deltas[i];
    values[i] = now / scale;
  }
  return values;
}

export function niceTicks(low, high, height) {
  const span = high - low,
    wanted = Math.max(1, Math.floor(height / 24)),
    raw = span / wanted,
    power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 2.5, 5, 10].map(f => f * power).find(s => s >= raw) ?? raw;
  const ticks = [];
  for (let v = Math.ceil(low / step) * step; v <= high; v += step) ticks.push(Number(v.toPrecision(6)));
  return ticks;
}

// Paces at round seconds, closer together where the lane has room for them.
export function paceTicks(low, high, height, metres) {
  const fastest = metres / high,
    slowest = metres / low,
    room = (24 * (high - low)) / height;
  const steps = [5, 10, 15, 30, 60, 120, 300],
    ticks = [];
  const step = steps.find(s => metres / fastest - metres / (fastest + s) >= room) ?? 600;
  for (let pace = Math.ceil(fastest / step) * step; pace <= slowest; pace += step) {
    const speed = metres / pace;
    if (!ticks.length || ticks[ticks.length - 1] - speed >= room) ticks.push(speed);
  }
  return ticks;
}

export class Lane {
  constructor(raw, {paceMetres, decimal}) {
    Object.assign(this, {key: raw.key, name: raw.name, unit: raw.unit, role: raw.role, band: raw.band});
    this.paceMetres = paceMetres;
    this.decimal = decimal;
    this.pace = raw.band === 'pace' && paceMetres > 0;
    this.factor = raw.band === 'pace' && !this.pace ? raw.factor : 1;
    this.raw = decode(raw.deltas, raw.scale);
    this.values = this.raw;
    this.fine = raw.scale > 1;
    this.height = this.key === 'power' || this.pace ? 150 : this.role === 'heart' ? 88 : 66;
  }

  // Trailing and leading seconds alike; missing ones count for nothing.
  smooth(seconds) {
    if (seconds <= 1) {
      this.values = this.raw;
      return;
    }
    const n = this.raw.length,
      half = Math.floor(seconds / 2),
      out = new Float32Array(n);
    let sum = 0,
      count = 0;
    const add = (i, sign) => {
      if (i >= 0 && i < n && !Number.isNaN(this.raw[i])) {
        sum += sign * this.raw[i];
        count += sign;
      }
    };
    for (let i = 0; i < half; i++) add(i, 1);
    for (let i = 0; i < n; i++) {
      add(i + half, 1);
      add(i - half - 1, -1);
      out[i] = Number.isNaN(this.raw[i]) ? NaN : sum / count;
    }
    this.values = out;
  }

  text(value) {
    if (Number.isNaN(value) || value === undefined) return '–';
    if (this.pace) return value > 0.2 ? clock(this.paceMetres / value) : '–';
    if (this.key === 'remaining') return clock(value * 60);
    const digits = Math.abs(value) < 10 && this.fine ? 2 : this.role === 'reserve' || this.band === 'pace' ? 1 : 0;
    return value.toFixed(digits).replace('.', this.decimal);
  }

  element(label, right, height) {
    if (height) this.height = height;
    const row = document.createElement('div');
    row.className = 'lane';
    row.innerHTML = [
      `<div class="lane-name"><b class="role-${this.role}"></b><span class="unit"></span><output></output></div>`,
      '<canvas></canvas>',
      '<div class="lane-grip" tabindex="0" role="separator" aria-orientation="horizontal"></div>',
    ].join('');
    row.querySelector('b').textContent = this.name;
    row.querySelector('.unit').textContent = this.unit;
    this.canvas = row.querySelector('canvas');
    this.out = row.querySelector('output');
    this.right = right;
    const grip = row.querySelector('.lane-grip');
    grip.setAttribute('aria-label', `Height of ${this.name}`);
    const resize = by => {
      this.height = Math.max(36, Math.min(400, this.height + by));
      grip.setAttribute('aria-valuenow', this.height);
      this.resized(this.key, this.height);
    };
    grip.setAttribute('aria-valuenow', this.height);
    grip.addEventListener('keydown', event => {
      const by = event.key === 'ArrowDown' ? 12 : event.key === 'ArrowUp' ? -12 : 0;
      if (by) {
        event.preventDefault();
        resize(by);
      }
    });
    grip.addEventListener('pointerdown', event => {
      let y = event.clientY;
      grip.setPointerCapture(event.pointerId);
      grip.onpointermove = move => {
        resize(move.clientY - y);
        y = move.clientY;
      };
      grip.onpointerup = () => {
        grip.onpointermove = null;
      };
      event.preventDefault();
    });
    return row;
  }

  readout(second) {
    if (this.out) this.out.textContent = second === null ? '' : this.text(this.values[second]);
  }

  range(values, edges, floorAtZero) {
    let low = Infinity,
      high = -Infinity;
    for (let i = edges[0]; i < edges[edges.length - 1]; i++) {
      const v = values[i];
      if (v < low) low = v;
      if (v > high) high = v;
    }
    if (low === Infinity) return [0, 1];
    // a stop to tie a lace must not flatten the run
    if (this.pace) return [Math.max(low * 0.97, high * 0.45), high * 1.03];
    if (floorAtZero) return [Math.min(0, low), Math.max(high * 1.05, 1)];
    const pad = Math.max((high - low) * 0.08, Math.abs(high) * 0.002, 1e-3);
    return [low - pad, high + pad];
  }

  draw(edges, state, marks, overlay, xOf) {
    const width = edges.length - 1,
      ratio = devicePixelRatio || 1,
      height = this.height;
    if (
      this.canvas.width !== Math.round((width + this.right) * ratio) ||
      this.canvas.height !== Math.round(height * ratio)
    ) {
      this.canvas.width = Math.round((width + this.right) * ratio);
      this.canvas.height = Math.round(height * ratio);
      this.canvas.style.width = `${width + this.right}px`;
      this.canvas.style.height = `${height}px`;
    }
    const c = this.canvas.getContext('2d');
    c.setTransform(ratio, 0, 0, ratio, 0, 0);
    c.clearRect(0, 0, width + this.right, height);
    const [low, high] = this.range(this.values, edges, this.key === 'power' || this.role === 'reserve');
    const y = v => 5 + (height - 10) * (1 - (v - low) / (high - low));
    this.grid(c, low, high, y, width, height);
    c.save();
    c.beginPath();
    c.rect(0, 0, width, height);
    c.clip();
    this.bands(c, marks, xOf, y, height);
    this.line(c, this.values, edges, y, css(`--${this.role}`) || css('--ink2'), this.role === 'altitude', height);
    if (overlay) {
      const [l, h] = overlay.range(overlay.values, edges, false);
      c.setLineDash([4, 3]);
      this.line(
        c,
        overlay.values,
        edges,
        v => 5 + (height - 10) * (1 - (v - l) / (h - l)),
        css('--ink'),
        false,
        height,
        true,
      );
      c.setLineDash([]);
      const label = `- - ${overlay.name}, ${overlay.text(l)} to ${overlay.text(h)} ${overlay.unit}`;
      c.font = '12px "Source Sans 3"';
      c.fillStyle = css('--paper');
      c.fillRect(3, 6, c.measureText(label).width + 6, 16);
      c.fillStyle = css('--ink2');
      c.fillText(label, 6, 14);
    }
    c.restore();
  }

  grid(c, low, high, y, width, height) {
    c.font = '12px "Source Sans 3"';
    c.textBaseline = 'middle';
    const ticks = this.pace ? paceTicks(low, high, height, this.paceMetres) : niceTicks(low, high, height);
    for (const tick of ticks) {
      c.strokeStyle = css('--rule');
      c.beginPath();
      c.moveTo(0, Math.round(y(tick)) + 0.5);
      c.lineTo(width, Math.round(y(tick)) + 0.5);
      c.stroke();
      c.fillStyle = css('--ink2');
      c.fillText(
        this.pace ? clock(this.paceMetres / tick) : String(tick),
        width + 6,
        Math.max(8, Math.min(height - 8, y(tick))),
      );
    }
  }

  // Targets as bands; where hard work was planned the ground is a shade darker in every lane.
  bands(c, marks, xOf, y, height) {
    const hardest = Math.max(...marks.stretches.map(s => s[4]), 0);
    c.fillStyle = css('--step-ground');
    for (const [from, to, , ignored, intensity] of marks.stretches)
      if (!ignored && intensity >= hardest * 0.85 && intensity >= 85)
        c.fillRect(xOf(from), 0, xOf(to) - xOf(from), height);
    c.fillStyle = css('--band');
    for (const [basis, from, to, low0, high0, low1, high1] of marks.bands) {
      if (basis !== this.band) continue;
      c.beginPath();
      c.moveTo(xOf(from), y(low0 * this.factor));
      c.lineTo(xOf(to), y(low1 * this.factor));
      c.lineTo(xOf(to), y(high1 * this.factor));
      c.lineTo(xOf(from), y(high0 * this.factor));
      c.fill();
    }
  }

  // Where a pixel holds several seconds, upright bars from lowest to highest are many times quicker to paint than a
  // jagged line.
  line(c, values, edges, y, colour, filled, height, dashed) {
    c.strokeStyle = colour;
    c.fillStyle = colour;
    c.lineWidth = 1.2;
    const dense = !dashed && edges[edges.length - 1] - edges[0] > 1.5 * (edges.length - 1);
    c.beginPath();
    let open = false,
      above = 0,
      below = 0;
    for (let p = 0; p < edges.length - 1; p++) {
      const a = edges[p],
        b = Math.max(a + 1, edges[p + 1]);
      if (p > 0 && a === edges[p - 1]) continue; // the same second again
      let low = Infinity,
        high = -Infinity;
      for (let i = a; i < b && i < values.length; i++) {
        const v = values[i];
        if (v < low) low = v;
        if (v > high) high = v;
      }
      if (low === Infinity) {
        open = false;
        continue;
      }
      const top = y(high),
        bottom = y(low);
      if (filled) {
        c.fillRect(p, top, Math.max(1, this.span(edges, p)), height - top);
      } else if (dense) {
        const from = open ? Math.min(top, below) : top,
          to = open ? Math.max(bottom, above) : bottom;
        c.fillRect(p, Math.floor(from), 1, Math.max(1.2, to - from));
      } else if (open) {
        c.lineTo(p + 0.5, top);
        if (low !== high) c.lineTo(p + 0.5, bottom);
      } else {
        c.moveTo(p + 0.5, top);
        c.lineTo(p + 1, top);
      }
      open = true;
      above = top;
      below = bottom;
    }
    if (!filled && !dense) c.stroke();
  }

  // How many pixels a second takes from one on.
  span(edges, p) {
    let q = p + 1;
    while (q < edges.length && edges[q] === edges[p]) q++;
    return q - p;
  }
}
