/**
 * Strength work: exercises, maxima and what they rest on, designing, and logging sets on the floor. Start at
 * {@link pemblar.app.strength.design.StrengthController} and {@link pemblar.app.strength.floor.FloorController}.
 */
package pemblar.app.strength;
