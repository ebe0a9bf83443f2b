/** The athlete's day: what changed, what is on, where one stands. Check-in's form and today instead have their own. */
package pemblar.app.today;
