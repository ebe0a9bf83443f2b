/**
 * What athlete and coach write to each other, pinned to a session or a moment in it. Start at
 * {@link pemblar.app.note.NoteService}.
 */
package pemblar.app.note;
