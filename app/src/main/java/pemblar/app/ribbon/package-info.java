/** The season as one strip, on top of every page of an athlete. Start at {@link pemblar.app.ribbon.Pages}. */
package pemblar.app.ribbon;
