/** The page of a comparison: its rows, its plot and its lines laid over each other. */
package pemblar.app.compare.page;
