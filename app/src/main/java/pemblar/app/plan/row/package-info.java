/** A block of the board as it is shown: its days, what lies on them, and the clock under them. */
package pemblar.app.plan.row;
