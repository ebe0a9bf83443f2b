/** Strength workouts: kept, designed in shorthand, drawn, and exchanged. */
package pemblar.app.strength.design;
