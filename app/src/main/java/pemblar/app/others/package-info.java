/** Recordings of others who rode or ran an event: kept for an athlete, apart from the athlete's own. */
package pemblar.app.others;
