/**
 * Sessions on days and clock time: what they are for, the plan of a block's days, workouts for it, rolling windows of
 * load, other days for a session that has to move. Start at {@link pemblar.core.schedule.DayPlan}.
 */
package pemblar.core.schedule;
