/** The season page and what it compares: the ribbon opened up, as it is drawn and changed by hand. */
package pemblar.app.planner.season;
