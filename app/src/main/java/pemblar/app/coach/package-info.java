/**
 * The coach's morning: who needs something, in order, with what it rests on; groups. Start at
 * {@link pemblar.app.coach.MorningService}.
 */
package pemblar.app.coach;
