/** What a coach tells the athlete of changes to a plan that was shared: on today until seen, and in mail once a day. */
package pemblar.app.sharing;
