// Sends an archive as it is, with how far it has come; the page then asks how far it is taken in.
document.addEventListener('submit', event => {
  if (event.target.id !== 'archive-form') return;
  event.preventDefault();
  const form = event.target;
  const file = form.elements.archive.files[0];
  const bar = form.querySelector('progress');
  const problem = form.querySelector('.problem');
  const button = form.querySelector('button');
  const request = new XMLHttpRequest();
  const ended = text => {
    button.disabled = false;
    bar.hidden = true;
    problem.textContent = text;
    problem.hidden = !text;
  };
  request.upload.addEventListener('progress', sent => {
    bar.max = sent.total;
    bar.value = sent.loaded;
  });
  request.addEventListener('load', () => {
    if (request.status === 202) htmx.ajax('GET', '/account/archive/in', {target: '#archive-in', swap: 'outerHTML'});
    else
      ended(
        (request.getResponseHeader('Content-Type') ?? '').startsWith('text/plain')
          ? request.responseText
          : 'The server did not take the archive. Check that it has at most 4 GB, and try again.',
      );
  });
  request.addEventListener('error', () => ended('The archive did not arrive. Check the connection and send it again.'));
  request.open('POST', '/account/archive/in');
  request.setRequestHeader('X-CSRF-TOKEN', document.querySelector('input[name="_csrf"]').value);
  request.setRequestHeader('Content-Type', 'application/zip');
  button.disabled = true;
  bar.hidden = false;
  problem.hidden = true;
  request.send(file);
});
