/**
 * The stand-in for outside devices: a simulated athlete and a simulated head unit that speak to Pemblar through files
 * only. None of core's formulas is used here, so that one can check the other. Start at
 * {@link pemblar.benchunit.HeadUnit}.
 */
package pemblar.benchunit;
