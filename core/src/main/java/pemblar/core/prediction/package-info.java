/**
 * What could be run or ridden: results over other distances and durations, with their ranges. Start at
 * {@link pemblar.core.prediction.Prediction}.
 */
package pemblar.core.prediction;
