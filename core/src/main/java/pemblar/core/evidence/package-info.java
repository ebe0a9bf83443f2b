/**
 * Evidence for thresholds combined: what each piece says, which pieces are the same effort, whether they contradict
 * each other (computation, section 7). Start at {@link pemblar.core.evidence.Combination}.
 */
package pemblar.core.evidence;
