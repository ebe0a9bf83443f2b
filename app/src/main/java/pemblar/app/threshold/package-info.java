/** Dated thresholds, the zones that follow, and the recomputation they cause. */
package pemblar.app.threshold;
