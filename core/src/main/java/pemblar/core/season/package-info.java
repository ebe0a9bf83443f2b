/**
 * The plan from large to small: events, phases and blocks with their targets, changes by hand, and what lies ahead.
 * Start at {@link pemblar.core.season.Generator}.
 */
package pemblar.core.season;
