/** The board and today: where sessions are put on days and moved, with undo. */
package pemblar.app.plan;
