// What is said to all is sent once: the field is empty again and keeps the focus.
document.getElementById('cue-form')?.addEventListener('htmx:afterRequest', event => {
  if (!event.detail.successful) return;
  const field = event.currentTarget.elements.text;
  field.value = '';
  field.focus();
});
