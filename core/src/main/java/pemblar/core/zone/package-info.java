/** Zone sets, the schemes that ship, and time in zones. Start at {@link pemblar.core.zone.ZoneSet}. */
package pemblar.core.zone;
