/**
 * Corrections of recordings: edits that are applied when reading, and proposals for them. The original is never
 * changed. Start at {@link pemblar.core.mending.Mending} and {@link pemblar.core.mending.Proposals}.
 */
package pemblar.core.mending;
