/**
 * What suggests a threshold: evidence with its ranges, calculators, the power-duration curve and the power profile, and
 * adopting a value. Start at {@link pemblar.app.evidence.EvidenceService}.
 */
package pemblar.app.evidence;
