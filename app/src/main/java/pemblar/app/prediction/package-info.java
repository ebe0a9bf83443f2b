/**
 * What could be run or ridden, from what was known on each day; and whether it was right when the result came. Start at
 * {@link pemblar.app.prediction.PredictionService}.
 */
package pemblar.app.prediction;
