/** A workout of the shelf is put on a day. */
package pemblar.app.plan.put;
