/** Steady equivalents, session load and the load trend. Start at {@link pemblar.core.load.SessionSummary}. */
package pemblar.core.load;
