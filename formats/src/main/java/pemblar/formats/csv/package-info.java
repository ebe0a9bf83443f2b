/**
 * Comma-separated files: the reference bands of the power profile. Start at
 * {@link pemblar.formats.csv.ProfileBandsCsv}.
 */
package pemblar.formats.csv;
