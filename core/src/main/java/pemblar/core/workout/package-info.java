/** Workouts: steps, targets, shorthand and forecast. Start at {@link pemblar.core.workout.Workout}. */
package pemblar.core.workout;
