/**
 * The plan answers to what happened: makes situations from what is stored, shows proposals, takes and keeps what became
 * of them. The rules are {@code pemblar.core.adjust}'s. Start at {@link pemblar.app.adjust.AdjustService}.
 */
package pemblar.app.adjust;
