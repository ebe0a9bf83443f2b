/** The guided set-up: what a season needs is asked, shown as it would be, and put on the board whole. */
package pemblar.app.planner.setup;
