/**
 * The plan from large to small: events, phases and blocks.
 */
package pemblar.core.season;
