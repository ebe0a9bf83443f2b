/**
 * Comparing groups of repetitions: at equal power, with how sure the difference is. Start at
 * {@link pemblar.core.comparison.GroupDifference}.
 */
package pemblar.core.comparison;
