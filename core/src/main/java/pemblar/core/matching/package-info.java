/**
 * A recording against its plan: which stretch is which step, and how each went. Start at
 * {@link pemblar.core.matching.StepMatching}.
 */
package pemblar.core.matching;
