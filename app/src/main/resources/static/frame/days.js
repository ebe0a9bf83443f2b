// Days as they stand in forms, yyyy-mm-dd: noon of universal time, so that no clock change moves one.
export function otherDay(day, by) {
  const date = new Date(day + 'T12:00:00Z');
  date.setUTCDate(date.getUTCDate() + by);
  return date.toISOString().slice(0, 10);
}
