/** Best efforts: the mean-maximal curve. Start at {@link pemblar.core.effort.MeanMaximal}. */
package pemblar.core.effort;
