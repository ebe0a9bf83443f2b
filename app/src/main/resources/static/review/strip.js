// The stretches of a session over the lanes: names, notes, kept ranges; boundaries are dragged or moved by arrow
// keys, a second at a time.
const NS = 'http://www.w3.org/2000/svg';
const HEIGHT = 30;

export class Strip {
  constructor(svg, label, send, choose) {
    Object.assign(this, {svg, label, send, choose, drag: null, focus: null});
    svg.addEventListener('pointerdown', event => this.down(event));
    svg.addEventListener('pointermove', event => this.move(event));
    svg.addEventListener('pointerup', event => this.up(event));
    svg.addEventListener('keydown', event => this.key(event));
  }

  make(tag, attributes, text) {
    const element = document.createElementNS(NS, tag);
    for (const [name, value] of Object.entries(attributes)) element.setAttribute(name, value);
    if (text) element.textContent = text;
    this.svg.append(element);
    return element;
  }

  draw(marks, state, xOf, width) {
    Object.assign(this, {marks, state, xOf, width});
    if (document.activeElement?.closest?.('#lane-strip')) this.focus = document.activeElement.dataset.edge;
    this.svg.replaceChildren();
    marks.stretches.forEach((stretch, i) => this.stretch(stretch, i));
    for (const [from] of marks.laps) this.lap(from);
    for (const [from, to, name] of marks.ranges) this.kept(from, to, name);
    for (const [second, text] of marks.notes) this.note(second, text);
    marks.stretches.forEach((stretch, i) => this.edges(stretch, i));
    if (this.focus) this.svg.querySelector(`[data-edge="${this.focus}"]`)?.focus();
    this.focus = null;
  }

  inside(from, to) {
    return to > this.state.from && from < this.state.to;
  }

  stretch([from, to, name, ignored], i) {
    if (!this.inside(from, to)) return;
    const x = Math.max(0, this.xOf(from)),
      wide = Math.min(this.width, this.xOf(to)) - x;
    this.make('rect', {
      x,
      y: 6,
      width: Math.max(1, wide - 1),
      height: HEIGHT - 8,
      class: ignored ? 'stretch is-ignored' : 'stretch',
      'data-stretch': i,
    });
    if (wide > name.length * 6.4 + 6) this.make('text', {x: x + 5, y: 21, class: 'stretch-name'}, name);
    else if (wide > 16)
      this.make('text', {x: x + wide / 2, y: 21, 'text-anchor': 'middle', class: 'stretch-name'}, String(i + 1));
  }

  kept(from, to, name) {
    if (!this.inside(from, to)) return;
    const x = Math.max(0, this.xOf(from));
    const line = this.make('rect', {
      x,
      y: 0,
      width: Math.max(2, Math.min(this.width, this.xOf(to)) - x),
      height: 4,
      class: 'kept',
    });
    line.addEventListener('click', () => this.choose(from, to));
    const title = document.createElementNS(NS, 'title');
    title.textContent = name;
    line.append(title);
  }

  // A press of the lap key, whatever the stretches are.
  lap(second) {
    if (second > 0 && this.inside(second, second + 1))
      this.make('line', {x1: this.xOf(second), x2: this.xOf(second), y1: HEIGHT - 6, y2: HEIGHT, class: 'lap-mark'});
  }

  note(second, text) {
    if (!this.inside(second, second + 1)) return;
    const x = this.xOf(second);
    const flag = this.make('path', {d: `M${x} ${HEIGHT}V2h8l-2 4 2 4h-8`, class: 'note-flag'});
    const title = document.createElementNS(NS, 'title');
    title.textContent = text;
    flag.append(title);
  }

  // An end that touches the next stretch is one boundary of both.
  edges([from, to, name], i) {
    const before = this.marks.stretches[i - 1];
    if (!before || before[1] !== from) this.edge(from, i, 'from', name);
    this.edge(to, i, 'to', name);
  }

  edge(second, i, which, name) {
    if (second < this.state.from || second > this.state.to) return;
    const x = this.xOf(second);
    this.make('rect', {
      x: x - 4,
      y: 4,
      width: 8,
      height: HEIGHT - 4,
      class: 'edge',
      tabindex: 0,
      role: 'slider',
      'data-edge': `${i}-${which}`,
      'aria-label': `${which === 'to' ? 'End' : 'Start'} of ${name}`,
      'aria-valuenow': second,
      'aria-valuemin': 0,
      'aria-valuemax': this.state.to,
    });
  }

  second(event) {
    const x = event.clientX - this.svg.getBoundingClientRect().left;
    return Math.round(this.state.from + (this.state.to - this.state.from) * Math.max(0, Math.min(1, x / this.width)));
  }

  down(event) {
    const edge = event.target.dataset?.edge;
    if (edge && this.state.view.axis === 'time') {
      this.drag = {edge, element: event.target, from: event.clientX};
      this.svg.setPointerCapture(event.pointerId);
      event.preventDefault();
    } else if (event.target.dataset?.stretch) {
      const [from, to] = this.marks.stretches[event.target.dataset.stretch];
      this.choose(from, to);
    }
  }

  move(event) {
    if (this.drag) this.drag.element.setAttribute('x', event.clientX - this.svg.getBoundingClientRect().left - 4);
  }

  up(event) {
    if (!this.drag) return;
    const {edge, from} = this.drag;
    this.drag = null;
    if (Math.abs(event.clientX - from) > 1) this.put(edge, this.second(event));
    else this.draw(this.marks, this.state, this.xOf, this.width);
  }

  put(edge, second) {
    const [i, which] = edge.split('-');
    const [from, to] = this.marks.stretches[i];
    this.focus = edge;
    this.send('move', {index: i, from: which === 'from' ? second : from, to: which === 'to' ? second : to});
  }

  key(event) {
    const edge = event.target.dataset?.edge,
      by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    if (!edge || !by) return;
    event.preventDefault();
    event.stopPropagation();
    const [i, which] = edge.split('-');
    this.put(edge, this.marks.stretches[i][which === 'from' ? 0 : 1] + by * (event.shiftKey ? 10 : 1));
  }
}
