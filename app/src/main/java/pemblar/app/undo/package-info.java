/** Takes changes of a plan back, whichever feature made them. Start at {@link pemblar.app.undo.UndoService}. */
package pemblar.app.undo;
