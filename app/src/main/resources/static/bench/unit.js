// The screen and keys of the bench unit. All values and texts come from the unit; this only shows them.
const unit = document.getElementById('unit');
const token = document.querySelector('input[name="_csrf"]').value;
const at = id => document.getElementById(`u-${id}`);
const LOOK_MILLIS = 250;
let paused = false,
  done = false,
  audio = null;

function tone(high) {
  if (!at('tone').checked) return;
  audio ??= new AudioContext();
  const sound = audio.createOscillator();
  sound.frequency.value = high ? 880 : 440;
  sound.connect(audio.destination);
  sound.start();
  sound.stop(audio.currentTime + 0.15);
}

function show(state) {
  paused = state.paused;
  at('clock').textContent = state.clock;
  document.querySelector('[data-key="pause"], [data-key="resume"]').dataset.key = paused ? 'resume' : 'pause';
  document.querySelector('[data-key="pause"], [data-key="resume"]').firstChild.textContent = paused
    ? 'Go on '
    : 'Pause ';
  at('driver').textContent = state.driver;
  if (document.activeElement !== at('speed')) at('speed').value = String(state.speed);
  led(state);
  if (state.reserve) reserve(state.reserve);
  if (state.finished) return finish();
  for (const id of ['step', 'number', 'notes', 'live', 'unit', 'target', 'bpm', 'cadence', 'next'])
    at(id).textContent = state[id];
  at('togo').textContent = state.toGo;
  at('togo-words').textContent = state.toGoWords;
  at('mark').classList.toggle('gone', state.place === null);
  if (state.place !== null) at('mark').setAttribute('transform', `translate(${(state.place - 0.5) * 1000} 0)`);
  const warned = state.warning !== 'NONE';
  if (warned && at('warning').hidden) tone(state.warning === 'ABOVE');
  at('warning').hidden = !warned;
  at('warning').textContent =
    state.warning === 'ABOVE' ? 'Above the target: ease off' : 'Below the target: a little more';
  unit.classList.toggle('warned', warned);
  at('count').hidden = !state.countdown;
  at('count').textContent = state.countdown || '';
}

// A coach leads: the steps are the group's, so the keys that would change them are away.
function led(state) {
  for (const key of ['lap', 'skip']) document.querySelector(`[data-key="${key}"]`).hidden = state.led;
  at('speed-label').hidden = state.led;
  at('waits').hidden = !state.waits;
  at('waits').textContent = state.waits ? `The group begins in ${state.waits}` : '';
  at('cue').hidden = !state.cue;
  at('cue').textContent = state.cue;
  if (state.led && !state.finished) {
    const pause = document.querySelector('[data-key="pause"], [data-key="resume"]');
    pause.firstChild.textContent = paused ? 'Come back ' : 'Leave for a moment ';
    document.querySelector('[data-key="stop"]').firstChild.textContent = 'Leave for good ';
  }
}

function reserve(state) {
  at('reserve').hidden = false;
  at('reserve-now').textContent = state.now;
  at('reserve-fill').setAttribute('width', state.fill * 200);
  at('held').textContent = state.held;
  at('back').textContent = state.back;
  for (const [id, value] of [
    ['ask-power', state.chosenWatts],
    ['ask-share', state.chosenShare],
  ])
    if (document.activeElement !== at(id)) at(id).value = value;
}

function finish() {
  if (done) return;
  done = true;
  at('step').textContent = 'Done. The recording is on its way into Pemblar.';
  for (const id of ['notes', 'next', 'target']) at(id).textContent = '';
  setTimeout(() => {
    location.href = unit.dataset.session;
  }, 1500);
}

async function press(key) {
  const answer = await fetch(`${unit.dataset.base}/key`, {
    method: 'POST',
    headers: {'Content-Type': 'application/x-www-form-urlencoded', 'X-CSRF-TOKEN': token},
    body: `key=${encodeURIComponent(key)}`,
  });
  if (answer.ok) show(await answer.json());
}

async function look() {
  if (done) return;
  try {
    const answer = await fetch(`${unit.dataset.base}/state`);
    if (answer.ok) show(await answer.json());
    else if (answer.status === 404) finish();
  } catch {
    at('driver').textContent = 'The unit cannot be reached; it goes on by itself.';
  }
  setTimeout(look, LOOK_MILLIS);
}

document.addEventListener('click', event => {
  const key = event.target.closest?.('[data-key]')?.dataset.key;
  if (key) press(key);
});
at('speed').addEventListener('change', event => {
  press(`x${event.target.value}`);
  event.target.blur();
});
for (const [id, key] of [
  ['ask-power', 'p'],
  ['ask-share', 's'],
])
  at(id).addEventListener('change', event => {
    if (event.target.checkValidity() && event.target.value) press(key + Math.round(Number(event.target.value)));
  });
document.addEventListener('keydown', event => {
  if (event.target.closest('select, input') || event.ctrlKey || event.metaKey || event.altKey) return;
  const key = {
    l: 'lap',
    n: 'skip',
    x: 'stop',
    a: 'athlete',
    ArrowUp: 'up',
    ArrowDown: 'down',
    ' ': paused ? 'resume' : 'pause',
  }[event.key];
  if (!key) return;
  event.preventDefault();
  press(key);
});
look();
