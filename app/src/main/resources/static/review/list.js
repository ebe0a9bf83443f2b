// One box chooses all sessions of the page.
document.getElementById('choose-all')?.addEventListener('change', event => {
  document.querySelectorAll('#chosen-form input[name=chosen]').forEach(box => {
    box.checked = event.target.checked;
  });
});
