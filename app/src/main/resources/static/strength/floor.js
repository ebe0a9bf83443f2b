// A set with one touch, also without a connection: what is entered waits on this device and is sent once it is back.
const floor = document.getElementById('floor');
const waiting = document.getElementById('waiting');
const store = floor.dataset.key;
const token = () => document.querySelector('input[name="_csrf"]')?.value ?? '';

function queue() {
  try {
    return JSON.parse(localStorage.getItem(store) ?? '[]');
  } catch {
    return [];
  }
}

function keep(all) {
  localStorage.setItem(store, JSON.stringify(all));
  waiting.hidden = all.length === 0;
  waiting.textContent =
    all.length === 1
      ? 'No connection. 1 set waits on this device and is sent later.'
      : `No connection. ${all.length} sets wait on this device and are sent later.`;
}

async function send(entry) {
  const body = new URLSearchParams({...entry.fields, script: '1', _csrf: token()});
  const answer = await fetch(entry.to, {method: 'POST', body, headers: {'X-CSRF-TOKEN': token()}});
  if (answer.redirected) throw new Error('signed out');
  const told = await answer.json();
  if (answer.status === 422) return {refused: told.refused};
  if (!answer.ok) throw new Error(String(answer.status));
  return told;
}

let flushing = false;

async function flush() {
  if (flushing) return;
  flushing = true;
  try {
    let all = queue();
    while (all.length) {
      const told = await send(all[0]);
      show(all[0].fields.place, told);
      all = queue().slice(1);
      keep(all);
    }
  } catch {
    keep(queue());
  } finally {
    flushing = false;
  }
}

function show(place, told) {
  const row = floor.querySelector(`.set[data-place="${place}"]`);
  if (!row) return;
  if (told.refused) {
    row.querySelector('.done-words').textContent = told.refused;
    return;
  }
  row.classList.add('is-done');
  row.querySelector('.done-words').textContent = told.words;
  row.querySelector('button.primary').textContent = 'Change';
  const next = row.nextElementSibling?.querySelector('input[name="load"]');
  if (told.next && next) next.value = told.next;
  if (told.would) location.reload();
}

function typedWords(fields) {
  return fields.held ? `${fields.held} s` : `${fields.load || 0} × ${fields.repetitions}`;
}

floor.addEventListener('submit', event => {
  const form = event.target;
  if (!form.action.endsWith('/set') || !form.closest('.set')) return;
  event.preventDefault();
  const fields = Object.fromEntries(new FormData(form));
  delete fields._csrf;
  const row = form.closest('.set');
  row.classList.add('is-done');
  row.querySelector('.done-words').textContent = typedWords(fields);
  const all = queue().filter(e => e.fields.key !== fields.key);
  all.push({to: form.action, fields});
  localStorage.setItem(store, JSON.stringify(all));
  rest(Number(form.closest('.station').dataset.rest));
  mark();
  floor.querySelector('.set.is-next')?.scrollIntoView({block: 'center'}); // the clock must not cover it
  flush();
});

// The set that is next has its frame.
function mark() {
  floor.querySelectorAll('.set.is-next').forEach(s => s.classList.remove('is-next'));
  floor.querySelector('.set:not(.is-done)')?.classList.add('is-next');
}

const clock = document.getElementById('rest');
const left = document.getElementById('rest-left');
let until = 0;
let ticking = 0;
let rung = false;

export function words(seconds) {
  const s = Math.abs(Math.round(seconds));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}${seconds < 0 ? ' over' : ''}`;
}

function rest(seconds) {
  until = Date.now() + 1000 * seconds;
  rung = false;
  document.getElementById('rest-of').textContent = words(seconds);
  clock.hidden = false;
  clearInterval(ticking);
  ticking = setInterval(tick, 250);
  tick();
}

function tick() {
  const seconds = (until - Date.now()) / 1000;
  left.textContent = words(Math.ceil(seconds));
  if (seconds <= 0 && !rung) {
    rung = true;
    if (document.getElementById('rest-sound').checked) ring();
  }
}

function ring() {
  const audio = new AudioContext();
  const tone = audio.createOscillator();
  tone.frequency.value = 660;
  tone.connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + 0.25);
}

document.getElementById('rest-more').addEventListener('click', () => {
  until += 30000;
  rung = false;
});

// On a phone one exercise at a time; a row opens again by touching it.
const stations = [...floor.querySelectorAll('.station')];
const stepping = document.getElementById('stepping');
let here = Math.max(
  0,
  stations.findIndex(s => s.querySelector('.set:not(.is-done)')),
);

function go(to) {
  here = Math.max(0, Math.min(stations.length - 1, to));
  stations.forEach((s, i) => s.classList.toggle('is-here', i === here));
  document.getElementById('step-back').disabled = here === 0;
  const next = stations[here + 1]?.querySelector('h2').textContent;
  document.getElementById('step-on').textContent = next ? `Next: ${next}` : 'To the end';
}

document.getElementById('step-back').addEventListener('click', () => go(here - 1));
document.getElementById('step-on').addEventListener('click', () => {
  if (here === stations.length - 1) document.querySelector('.finish')?.scrollIntoView();
  else go(here + 1);
  floor.scrollIntoView();
});
floor.addEventListener('click', event => {
  if (event.target.closest('form, a, button, details')) return;
  event.target.closest('.set')?.classList.toggle('is-open');
});
floor.classList.add('live');
stepping.hidden = false;
go(here);

window.addEventListener('online', flush);
setInterval(flush, 5000);
flush();
mark();
document.documentElement.dataset.settled = 'true';
