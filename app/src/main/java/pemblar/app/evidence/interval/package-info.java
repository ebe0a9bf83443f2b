/** What to hold for so many repetitions. */
package pemblar.app.evidence.interval;
