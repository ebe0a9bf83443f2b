/**
 * What a range of days was made of: time in zones, hours by sport, plan against done, rest. Start at
 * {@link pemblar.core.range.RangeSummary}.
 */
package pemblar.core.range;
