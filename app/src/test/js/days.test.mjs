import assert from 'node:assert/strict';
import {test} from 'node:test';
import {module} from './module.mjs';

const {otherDay} = await module('frame/days.js');

test('over months, years and leap days', () => {
  assert.equal(otherDay('2026-11-30', 1), '2026-12-01');
  assert.equal(otherDay('2026-01-01', -1), '2025-12-31');
  assert.equal(otherDay('2028-02-28', 1), '2028-02-29');
  assert.equal(otherDay('2027-02-28', 1), '2027-03-01');
});

test('every day of ten years is one after the last, whatever the clocks do', () => {
  let day = '2024-01-01';
  for (let i = 1; i <= 3653; i++) {
    const next = otherDay(day, 1);
    assert.equal((Date.parse(next) - Date.parse(day)) / 86400000, 1);
    assert.equal(otherDay(next, -1), day);
    assert.equal(otherDay('2024-01-01', i), next);
    day = next;
  }
  assert.equal(day, '2034-01-01');
});
