/**
 * Repetitions of one or many sessions side by side: in groups, as a table, against each other, over the months. Start
 * at {@link pemblar.app.compare.ComparisonService}.
 */
package pemblar.app.compare;
