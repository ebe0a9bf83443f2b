/**
 * Check-ins: how somebody is in the morning, where the values come from, and where they stand against the usual. Start
 * at {@link pemblar.app.checkin.CheckinService}.
 */
package pemblar.app.checkin;
