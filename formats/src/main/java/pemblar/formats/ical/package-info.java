/** Plans as iCalendar (RFC 5545), for calendar programs to read. */
package pemblar.formats.ical;
