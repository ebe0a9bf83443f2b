import assert from 'node:assert/strict';
import {test} from 'node:test';
import {module} from './module.mjs';

const {clock, decode, niceTicks, paceTicks, tickStep} = await module('review/lane.js');

test('a clock with hours only where there are some', () => {
  assert.equal(clock(0), '0:00');
  assert.equal(clock(59.6), '1:00');
  assert.equal(clock(3599.4), '59:59');
  assert.equal(clock(3600), '1:00:00');
  assert.equal(clock(36065), '10:01:05');
});

test('the next step that is wide enough, or the widest', () => {
  assert.equal(tickStep(61, [10, 60, 300]), 300);
  assert.equal(tickStep(60, [10, 60, 300]), 60);
  assert.equal(tickStep(9999, [10, 60, 300]), 300);
});

test('differences become the values that they came from', () => {
  const values = [1500, 1512, 1490, null, 1490, 1700];
  let last = 0;
  const deltas = values.map(v => {
    if (v === null) return null;
    const delta = v - last;
    last = v;
    return delta;
  });
  const read = decode(deltas, 10, false);
  assert.deepEqual([...read].map(v => Math.round(v * 10)), [1500, 1512, 1490, NaN, 1490, 1700]);
  assert.equal(decode([10, null, 5], 1, true)[1], 10);
  assert.equal(decode([], 1, false).length, 0);
});

test('ticks lie within, at the same round distance, with room for each', () => {
  for (let low = 0; low < 300; low += 7)
    for (const span of [3, 40, 260, 900])
      for (const height of [30, 72, 140]) {
        const ticks = niceTicks(low, low + span, height);
        assert.ok(ticks.length <= Math.max(1, Math.floor(height / 24)) + 1);
        for (const tick of ticks) assert.ok(tick >= low - 1e-6 && tick <= low + span + 1e-6);
        const steps = ticks.slice(1).map((t, i) => t - ticks[i]);
        for (const step of steps) assert.ok(Math.abs(step - steps[0]) < 1e-3 * (1 + step));
      }
});

test('paces at whole multiples of five seconds, the fastest first, with room for each', () => {
  for (const metres of [1000, 100, 1609.344]) {
    const ticks = paceTicks(metres / 420, metres / 200, 100, metres);
    assert.ok(ticks.length > 0);
    const room = (24 * (metres / 200 - metres / 420)) / 100;
    ticks.forEach((speed, i) => {
      assert.ok(Math.abs(metres / speed / 5 - Math.round(metres / speed / 5)) < 1e-6);
      if (i > 0) assert.ok(ticks[i - 1] - speed >= room - 1e-9);
    });
  }
});
