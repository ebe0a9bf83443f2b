// Lets the worker keep today and what comes next for the time without a connection.
const worker = navigator.serviceWorker;

function files() {
  return performance
    .getEntriesByType('resource')
    .map(entry => new URL(entry.name).pathname)
    .filter(path => path.startsWith('/s/'));
}

function next() {
  return [...document.querySelectorAll('a[data-keep]')].map(link => new URL(link.href).pathname);
}

async function begin() {
  await worker.register('/worker.js');
  const {active} = await worker.ready;
  active.postMessage({flush: true});
  if (document.querySelector('[data-keep]') || location.pathname.endsWith('/today'))
    active.postMessage({keep: [location.pathname, ...next()], files: files()});
}

if (worker && document.querySelector('header .who')) {
  worker.addEventListener('message', event => {
    if (event.data?.kept) document.documentElement.dataset.kept = event.data.kept;
    if (event.data?.sent) {
      document.documentElement.dataset.sent = event.data.sent;
      const line = document.getElementById('offline');
      if (line) line.textContent = 'The connection is back, and what waited here was sent. Load the page to see it.';
    }
  });
  addEventListener('online', () => worker.controller?.postMessage({flush: true}));
  addEventListener('load', () => begin());
}
