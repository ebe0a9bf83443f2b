/**
 * Morning values against a person's own usual: in band, drifting, out of band, sharp. Start at
 * {@link pemblar.core.checkin.Bands}.
 */
package pemblar.core.checkin;
