/** The demo data: an invented scenario, played by the bench unit and read by the ordinary import. */
package pemblar.app.demo;
