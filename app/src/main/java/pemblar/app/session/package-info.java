/**
 * Sessions on days, planned, done or both: the row and what keeps and takes back its changes. Figures of a recording
 * come from the view "recorded"; changing them is the recording's. Start with SessionDesk.
 */
package pemblar.app.session;
