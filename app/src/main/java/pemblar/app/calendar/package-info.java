/** The plan for other programs: a calendar feed under a private address, a calendar file, and the season as CSV. */
package pemblar.app.calendar;
