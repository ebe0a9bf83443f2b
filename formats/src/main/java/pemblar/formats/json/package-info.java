/** Our own JSON formats, described in docs/formats. Start at {@link pemblar.formats.json.WorkoutJson}. */
package pemblar.formats.json;
