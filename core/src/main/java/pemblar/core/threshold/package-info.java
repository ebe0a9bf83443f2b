/** What zones and intensity refer to, dated. Start at {@link pemblar.core.threshold.DatedValues}. */
package pemblar.core.threshold;
