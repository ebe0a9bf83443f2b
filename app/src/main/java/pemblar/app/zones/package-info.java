/** The page of an athlete's thresholds and the zones that follow. */
package pemblar.app.zones;
