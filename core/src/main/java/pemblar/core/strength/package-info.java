/**
 * Strength work: maxima, links between them, what a set does to them, loads, volume (computation, section 14). Start at
 * {@link pemblar.core.strength.Maxima}.
 */
package pemblar.core.strength;
