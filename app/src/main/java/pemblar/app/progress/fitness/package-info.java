/** Whether somebody gets fitter, in a drawing and in words that claim no more than the data hold. */
package pemblar.app.progress.fitness;
