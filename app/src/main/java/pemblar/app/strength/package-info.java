/**
 * Strength work: exercises, maxima and what they rest on, designing, and logging sets on the floor. Start at
 * {@link pemblar.app.strength.StrengthController} and {@link pemblar.app.strength.FloorController}.
 */
package pemblar.app.strength;
