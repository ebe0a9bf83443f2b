/**
 * Sessions on days, planned, done or both: every change of them, lists, search, and what is said of one. Figures of a
 * recording come from the view "recorded"; changing them is the recording's. Start with SessionService to read and
 * SessionDesk to change.
 */
package pemblar.app.session;
