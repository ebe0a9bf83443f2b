// Offers the time zone of this computer.
const field = document.getElementById('zone');
const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
if (field && field.value === 'UTC' && own) field.value = own;
