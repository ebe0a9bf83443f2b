/** The list of sessions, and notes on them. */
package pemblar.app.review.list;
