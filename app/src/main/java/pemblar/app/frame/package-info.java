/** What surrounds every page: security, the clock, errors, the ribbon's place, jobs. */
package pemblar.app.frame;
