/**
 * Every change of what is planned: put, moved, scaled, dropped, shared, adjusted, planned as a season. Start with
 * ScheduleService.
 */
package pemblar.app.session.change;
