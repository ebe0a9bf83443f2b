/**
 * How training went over any stretch of days: the load trend with its forecast, zones and hours, fitness and
 * predictions, durability, and a report to hand on.
 */
package pemblar.app.progress;
