/**
 * What each day weighs, done, planned and aimed at, and the trend of it. Start at
 * {@link pemblar.app.load.TrendService}.
 */
package pemblar.app.load;
