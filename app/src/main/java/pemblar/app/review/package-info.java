/** The pages of sessions: the list with its uploads, and the review of one. */
package pemblar.app.review;
