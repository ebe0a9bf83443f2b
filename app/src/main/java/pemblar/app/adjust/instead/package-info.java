/** Today instead: other workouts for the minutes and the state one is in. */
package pemblar.app.adjust.instead;
