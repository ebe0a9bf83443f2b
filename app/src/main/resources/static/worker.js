// Keeps today, the sessions to come and what they need for the time without a connection; a check-in that is entered
// then waits here and is sent once the connection is back, once, with its own day.
const PAGES = 'pages-1';
const FILES = 'files-1';
const KEPT = /^\/a\/\d+\/(today|notes|sessions\/\d+|sessions\/\d+\/floor)$/;
const QUEUED = /^\/a\/\d+\/checkin$/;
const PATIENCE_MILLIS = 20000;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', event => event.waitUntil(begin()));

async function begin() {
  for (const name of await caches.keys()) if (name !== PAGES && name !== FILES) await caches.delete(name);
  await self.clients.claim();
}

self.addEventListener('fetch', event => {
  const {request} = event;
  const url = new URL(request.url);
  if (url.origin !== self.location.origin) return;
  if (request.method === 'GET' && url.pathname.startsWith('/s/')) event.respondWith(file(request));
  else if (request.method === 'GET' && request.mode === 'navigate') event.respondWith(page(request, url));
  else if (request.method === 'POST' && url.pathname === '/sign-out') event.respondWith(signOut(request));
  else if (request.method === 'POST' && QUEUED.test(url.pathname) && request.mode === 'navigate')
    event.respondWith(entry(request, url));
});

async function file(request) {
  const cache = await caches.open(FILES);
  const kept = await cache.match(request.url);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request.url, answer.clone());
  return answer;
}

// Where something was kept, a connection that hangs counts as none; without it one waits as long as it takes.
async function inTime(request, path) {
  const kept = await (await caches.open(PAGES)).match(path);
  if (!kept) return fetch(request);
  return Promise.race([
    fetch(request),
    new Promise((_, fail) => {
      setTimeout(() => fail(new Error('slow')), PATIENCE_MILLIS);
    }),
  ]);
}

async function page(request, url) {
  try {
    const answer = await inTime(request, url.pathname);
    if (url.pathname === '/sign-in') await forget();
    else if (KEPT.test(url.pathname)) await keep(url.pathname, answer.clone());
    flush();
    return answer;
  } catch {
    return without(url);
  }
}

async function keep(path, answer) {
  if (!answer.ok || answer.redirected || !(answer.headers.get('Content-Type') ?? '').startsWith('text/html')) return;
  await (await caches.open(PAGES)).put(path, answer);
}

// What was fetched before, and says so; the root leads to the today that was kept.
async function without(url) {
  const cache = await caches.open(PAGES);
  let kept = await cache.match(url.pathname);
  if (!kept && (url.pathname === '/' || QUEUED.test(url.pathname))) {
    const today = (await cache.keys()).find(k => new URL(k.url).pathname.endsWith('/today'));
    if (today) kept = await cache.match(today);
  }
  if (!kept) return nothing();
  const from = new Date(kept.headers.get('Date') ?? Date.now());
  const when = from.toLocaleString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
  const waits = (await waiting()).length;
  const words =
    `No connection to Pemblar: this is what was fetched on ${when}.` +
    (waits ? ` ${waits === 1 ? '1 check-in waits' : `${waits} check-ins wait`} on this device, to be sent later.` : '');
  const text = await kept.text();
  const body = text.replace(/(<main[^>]*>)/, `$1<p class="offline" role="status" id="offline">${words}</p>`);
  return new Response(body, {headers: {'Content-Type': 'text/html;charset=UTF-8'}});
}

function nothing() {
  return new Response(
    '<!doctype html><html lang="en"><meta charset="utf-8"><title>Pemblar</title><main id="main">' +
      '<h1>No connection</h1><p>This page was not kept on this device. <a href="/">Today</a> is, once it was ' +
      'opened with a connection.</p></main></html>',
    {status: 503, headers: {'Content-Type': 'text/html;charset=UTF-8'}},
  );
}

async function signOut(request) {
  const answer = await fetch(request);
  await forget();
  return answer;
}

// Another person may sit down here: nothing of the last one stays.
async function forget() {
  await caches.delete(PAGES);
  const store = await table('readwrite');
  store.clear();
}

async function entry(request, url) {
  const body = await request.clone().text();
  try {
    return await fetch(request);
  } catch {
    const fields = new URLSearchParams(body);
    fields.delete('_csrf');
    if (!fields.get('once')) fields.set('once', crypto.randomUUID());
    const store = await table('readwrite');
    store.add({path: url.pathname, fields: fields.toString()});
    await done(store.transaction);
    return Response.redirect(url.pathname.replace(/checkin$/, 'today'), 303);
  }
}

function table(mode) {
  return new Promise((resolve, reject) => {
    const open = indexedDB.open('pemblar', 1);
    open.onupgradeneeded = () => open.result.createObjectStore('waiting', {keyPath: 'id', autoIncrement: true});
    open.onsuccess = () => resolve(open.result.transaction('waiting', mode).objectStore('waiting'));
    open.onerror = () => reject(open.error);
  });
}

function done(transaction) {
  return new Promise((resolve, reject) => {
    transaction.oncomplete = resolve;
    transaction.onerror = () => reject(transaction.error);
  });
}

async function waiting() {
  const store = await table('readonly');
  return new Promise((resolve, reject) => {
    const all = store.getAll();
    all.onsuccess = () => resolve(all.result);
    all.onerror = () => reject(all.error);
  });
}

let flushing = false;

// In order; one that the server refuses is not sent again, one that it cannot take now stays.
async function flush() {
  if (flushing) return;
  flushing = true;
  try {
    for (const one of await waiting()) {
      const today = await fetch(one.path.replace(/checkin$/, 'today'));
      if (!today.ok || today.url.endsWith('/sign-in')) return;
      const token = /name="_csrf"[^>]*value="([^"]+)"/.exec(await today.text())?.[1] ?? '';
      const fields = new URLSearchParams(one.fields);
      fields.set('_csrf', token);
      const answer = await fetch(one.path, {method: 'POST', body: fields});
      if (answer.status >= 500) return;
      const store = await table('readwrite');
      store.delete(one.id);
      await done(store.transaction);
      for (const client of await self.clients.matchAll()) client.postMessage({sent: one.path});
    }
  } catch {
    // still away: the next page or the browser's own sign tries again
  } finally {
    flushing = false;
  }
}

self.addEventListener('message', event => {
  if (event.data?.flush) event.waitUntil(flush());
  if (event.data?.keep) event.waitUntil(keepAll(event.data.keep, event.data.files));
});

async function keepAll(paths, files) {
  const cache = await caches.open(FILES);
  for (const address of files) if (!(await cache.match(address))) await cache.add(address).catch(() => {});
  for (const path of paths.filter(p => KEPT.test(p))) await keep(path, await fetch(path));
  for (const client of await self.clients.matchAll()) client.postMessage({kept: paths.length});
}
