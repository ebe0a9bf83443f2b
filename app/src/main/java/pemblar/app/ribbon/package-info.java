/**
 * The season as one strip, on top of every page of an athlete. Start at {@link pemblar.app.ribbon.RibbonFrame}, which
 * {@link pemblar.app.athlete.Pages} asks for.
 */
package pemblar.app.ribbon;
