/** The bench unit as seen from the browser. */
package pemblar.app.bench;
