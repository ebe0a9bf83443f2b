/** Figures of a stretch of a recording, and the climbs in one. Start at {@link pemblar.core.selection.Stretch}. */
package pemblar.core.selection;
