/** Sessions and recordings: the summaries that pages query, and the review of one session. */
package pemblar.app.session;
