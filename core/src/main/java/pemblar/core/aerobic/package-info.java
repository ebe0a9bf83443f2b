/**
 * What a heart beat buys, compared like with like, so that ground, heat and long sessions do not look like lost fitness
 * (computation, section 15). Start at {@link pemblar.core.aerobic.AerobicTrend}.
 */
package pemblar.core.aerobic;
